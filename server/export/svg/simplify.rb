# frozen_string_literal: true

module Server
  module Svg
    # Fewer points for the same outline: those that lie nearer than a tolerance to the line between
    # the points that are kept are left out. Very many are thinned first, so that it ends soon.
    # Source: Douglas and Peucker (1973).
    module Simplify
      # From so many points the best are chosen; what lies closer together than those is not seen.
      MOST_LOOKED_AT = 2_000
      # How much finer than the outline's size is still seen.
      FINEST = 8_000.0

      module_function

      # @param points [Array<(Float, Float)>] a closed outline, its first point not said twice
      # @param most [Integer] how many may be left
      # @param size [Float] how large the outline is
      # @return [Array<(Float, Float)>]
      def outline(points, most:, size:)
        tolerance = size / FINEST
        points = thinned(points, tolerance)
        matters = mattering(points, tolerance)
        tolerance *= 1.5 while matters.count { _1 > tolerance } > most
        points.each_index.select { matters[_1] > tolerance }.map { points[_1] }
      end

      # Without points that follow another one closely.
      def thinned(points, tolerance)
        nearer = tolerance / 2
        until points.size <= MOST_LOOKED_AT
          kept = [points.first]
          points.each { kept << _1 if Math.hypot(_1[0] - kept.last[0], _1[1] - kept.last[1]) > nearer }
          points = kept
          nearer *= 1.5
        end
        points
      end

      # Up to which tolerance every point is kept, from the first point to the one farthest from it, and back.
      # @return [Array<Float>] nought for those that are nearer than the least tolerance
      def mattering(points, least)
        far = points.each_index.max_by { |i| Math.hypot(points[i][0] - points[0][0], points[i][1] - points[0][1]) }
        matters = Array.new(points.size, 0.0)
        matters[0] = matters[far] = Float::INFINITY
        waiting = [[0, far, Float::INFINITY], [far, points.size, Float::INFINITY]]
        while (from, to, before = waiting.pop)
          farthest = (from + 1...to).max_by { apart(points[_1], points[from], points[to % points.size]) } or next
          matter = [apart(points[farthest], points[from], points[to % points.size]), before].min
          next unless matter > least
          matters[farthest] = matter
          waiting << [from, farthest, matter] << [farthest, to, matter]
        end
        matters
      end

      def apart(point, a, b)
        length = Math.hypot(b[0] - a[0], b[1] - a[1])
        return Math.hypot(point[0] - a[0], point[1] - a[1]) if length.zero?
        ((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0])).abs / length
      end

      private_class_method :thinned, :mattering, :apart
    end
  end
end
