# frozen_string_literal: true

module Lantern
  module Form
    # Whether a closed outline crosses itself, and what is left of it where it does.
    module Crossing
      # An outline without its loops, and how long the loops were.
      Unlooped = Value.define(:points, :cut)

      module_function

      # @param corners [Array<(Float, Float)>]
      # @return [(Integer, Integer), nil] two sides that cross, each by the number of its first corner
      def find(corners)
        sides = corners.each_index.map { |i| [corners[i], corners[(i + 1) % corners.size]] }
        boxes = sides.map { |a, b| [a[0], b[0]].minmax + [a[1], b[1]].minmax }
        from_left = sides.each_index.sort_by { boxes[_1][0] }
        from_left.each_with_index do |i, place|
          (place + 1...from_left.size).each do |other|
            j = from_left[other]
            break if boxes[j][0] > boxes[i][1]
            next if apart?(boxes[i], boxes[j]) || neighbours?(i, j, sides.size)
            return [i, j].minmax if cross?(*sides[i], *sides[j])
          end
        end
        nil
      end

      # Cuts the shorter side off wherever an outline crosses itself, until it does not.
      # @param corners [Array<(Float, Float)>]
      # @return [Unlooped]
      def unlooped(corners)
        cut = 0.0
        points = without_repeats(corners)
        while (crossing = find(points))
          i, j = crossing
          meeting = point(points[i], points[i + 1], points[j], points[(j + 1) % points.size]) or break
          loop, rest = points[i + 1..j], points[j + 1..] + points[..i]
          loop, rest = rest, loop if around(loop) > around(rest)
          cut += around(loop)
          points = without_repeats([meeting, *rest])
        end
        Unlooped.new(points:, cut:)
      end

      def around(points) = (points + [points.first]).each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }

      # The same outline without corners that stand on one another.
      def without_repeats(points)
        kept = points.each_cons(2).reject { |a, b| same?(a, b) }.map(&:first) + [points.last]
        (kept.size > 1 && same?(kept.last, kept.first)) ? kept[...-1] : kept
      end

      def same?(a, b) = Math.hypot(b[0] - a[0], b[1] - a[1]) < 1e-9

      def neighbours?(i, j, count) = (i - j).abs.then { _1 == 1 || _1 == count - 1 }

      # Where two stretches cross.
      # @return [(Float, Float), nil]
      def point(a, b, c, d)
        before, after = side(c, d, a), side(c, d, b)
        return if before * after > 0 || side(a, b, c) * side(a, b, d) > 0 || before == after
        share = before / (before - after)
        [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]
      end

      def apart?(a, b) = a[3] < b[2] || b[3] < a[2]

      # Two stretches cross or touch when the ends of each lie on different sides of the other.
      def cross?(a, b, c, d) = side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0

      def side(a, b, p) = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])

      private_class_method :same?, :neighbours?, :apart?, :cross?, :side
    end
  end
end
