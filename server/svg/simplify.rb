# frozen_string_literal: true

module Server
  module Svg
    # Fewer points for the same outline: those that lie nearer than a tolerance to the line between
    # the points that are kept are left out.
    # Source: Douglas and Peucker (1973).
    module Simplify
      module_function

      # @param points [Array<(Float, Float)>] a closed outline, its first point not said twice
      # @param most [Integer] how many may be left
      # @param size [Float] how large the outline is
      # @return [Array<(Float, Float)>]
      def outline(points, most:, size:)
        tolerance = size / 8000.0
        loop do
          kept = closed(points, tolerance)
          return kept if kept.size <= most
          tolerance *= 1.5
        end
      end

      # From the first point to the one farthest from it, and back.
      def closed(points, tolerance)
        far = points.each_index.max_by { |i| Math.hypot(points[i][0] - points[0][0], points[i][1] - points[0][1]) }
        line(points[0..far], tolerance)[0..-2] + line(points[far..] + [points[0]], tolerance)[0..-2]
      end

      def line(points, tolerance)
        keep = {0 => true, points.size - 1 => true}
        waiting = [[0, points.size - 1]]
        while (from, to = waiting.pop)
          farthest = (from + 1...to).max_by { apart(points[_1], points[from], points[to]) }
          next unless farthest && apart(points[farthest], points[from], points[to]) > tolerance
          keep[farthest] = true
          waiting << [from, farthest] << [farthest, to]
        end
        keep.keys.sort.map { points[_1] }
      end

      def apart(point, a, b)
        length = Math.hypot(b[0] - a[0], b[1] - a[1])
        return Math.hypot(point[0] - a[0], point[1] - a[1]) if length.zero?
        ((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0])).abs / length
      end

      private_class_method :closed, :line, :apart
    end
  end
end
