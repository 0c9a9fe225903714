# frozen_string_literal: true

module Lantern
  module Place
    # What a flat piece hides: everything within its corners. Inches.
    Polygon = Value.define(:corners) do
      # Inside, by how often a ray to the right crosses the edge.
      # @return [Boolean] whether it lies over a point
      def over?(x, y)
        inside = false
        bx, by = corners.last
        corners.each do |ax, ay|
          inside = !inside if (ay > y) != (by > y) && x < ax + (y - ay) * (bx - ax) / (by - ay)
          bx, by = ax, ay
        end
        inside
      end

      # @return [Array<Float>] left, top, right, bottom
      def box
        xs, ys = corners.transpose
        [xs.min, ys.min, xs.max, ys.max]
      end
    end
  end
end
