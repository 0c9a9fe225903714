# frozen_string_literal: true

module Lantern
  module Form
    # Ways to make a {Path}: through corners, round circles, along smooth curves.
    module Tracing
      module_function

      # Straight from corner to corner and back to the first.
      # @param corners [Array<(Float, Float)>] clockwise on the drawing
      def polygon(corners) = lines(corners + [corners.first])

      # Straight from point to point, open.
      def lines(points) = Path.new(points.each_cons(2).map { |from, to| Line.new(from:, to:) })

      # Along a smooth curve, in so many arcs, each through three of its points.
      # @yieldparam share [Float] from 0 to 1 along the curve
      # @yieldreturn [(Float, Float)] a point of it
      # @return [Array<Arc, Line>]
      def smooth(arcs)
        points = (0..2 * arcs).map { yield _1.fdiv(2 * arcs) }
        (0...arcs).map { |i| through(*points[2 * i, 3]) }
      end

      # The arc through three points, or the line where they are in line.
      def through(a, b, c)
        cross = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])
        return Line.new(from: a, to: c) if cross.abs < 1e-12 * (Math.hypot(c[0] - a[0], c[1] - a[1])**2 + 1e-30)
        centre = circumcentre(a, b, c, cross)
        start = Math.atan2(a[1] - centre[1], a[0] - centre[0])
        sweep = Math.atan2(c[1] - centre[1], c[0] - centre[0]) - start
        sweep %= 2 * Math::PI
        sweep -= 2 * Math::PI if cross.negative?
        Arc.new(centre:, radius: Math.hypot(a[0] - centre[0], a[1] - centre[1]), start:, sweep:)
      end

      # An arc about a centre from one angle to another, in radians clockwise from the right.
      def arc(centre, radius, from, to) = Arc.new(centre:, radius:, start: from, sweep: to - from)

      def circumcentre(a, b, c, cross)
        (bx, by), (cx, cy) = [b, c].map { |x, y| [x - a[0], y - a[1]] }
        b2, c2 = bx**2 + by**2, cx**2 + cy**2
        [a[0] + (cy * b2 - by * c2) / (2 * cross), a[1] + (bx * c2 - cx * b2) / (2 * cross)]
      end

      private_class_method :circumcentre
    end
  end
end
