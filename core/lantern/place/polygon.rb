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

      # From where to where it reaches on every level line, by how often it goes round: a strip that turns about a
      # point lies over itself.
      # @param step [Float] from one line to the next
      # @yieldparam row [Integer] the line's number
      # @yieldparam from [Float]
      # @yieldparam to [Float]
      def rows(step)
        crossings = Hash.new { |all, row| all[row] = [] }
        bx, by = corners.last
        corners.each do |ax, ay|
          down = by < ay
          (x, y), (to_x, to_y) = down ? [[bx, by], [ax, ay]] : [[ax, ay], [bx, by]]
          slope = (to_x - x) / (to_y - y)
          row = (y / step).ceil
          while row * step < to_y
            crossings[row] << [x + (row * step - y) * slope, down ? 1 : -1]
            row += 1
          end
          bx, by = ax, ay
        end
        crossings.each do |number, list|
          round, from = 0, nil
          list.sort.each do |at, way|
            from = at if round.zero?
            round += way
            yield number, from, at if round.zero? && at > from
          end
        end
      end

      # @return [Array<Float>] left, top, right, bottom
      def box
        xs, ys = corners.transpose
        [xs.min, ys.min, xs.max, ys.max]
      end
    end
  end
end
