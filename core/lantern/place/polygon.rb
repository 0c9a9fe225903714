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
        top, bottom = corners.map(&:last).minmax
        first = row_from(top, step)
        count = row_from(bottom, step) - first
        return if count <= 0
        downs, ups = crossings(step, first, count)
        i = 0
        while i < count
          if (down = downs[i])
            up = ups[i]
            if down.is_a?(Array)
              windings(down.sort!, up.sort!) { |from, to| yield first + i, from, to }
            elsif down < up
              yield first + i, down, up
            elsif up < down
              yield first + i, up, down
            end
          end
          i += 1
        end
      end

      # @return [Array<Float>] left, top, right, bottom
      def box
        xs, ys = corners.transpose
        [xs.min, ys.min, xs.max, ys.max]
      end

      private

      # Where its sides cross every line, those that run down apart from those that run up: as many of either. Most
      # lines are crossed by one of each, which stand by themselves.
      # @return [(Array<Float, Array<Float>, nil>, Array<Float, Array<Float>, nil>)]
      def crossings(step, first, count)
        downs, ups = Array.new(count), Array.new(count)
        bx, by = corners.last
        corners.each do |ax, ay|
          there, x, y, to_x, to_y = (by < ay) ? [downs, bx, by, ax, ay] : [ups, ax, ay, bx, by]
          slope = (to_x - x) / (to_y - y)
          row = (y / step).ceil
          row -= 1 if (row - 1) * step >= y
          row += 1 if row * step < y
          while (level = row * step) < to_y
            at = x + (level - y) * slope
            i = row - first
            before = there[i]
            if before.nil? then there[i] = at
            elsif before.is_a?(Array) then before << at
            else there[i] = [before, at]
            end
            row += 1
          end
          bx, by = ax, ay
        end
        [downs, ups]
      end

      # The first line that is not above a level: by the line’s own level, as sides end by it too, however a quotient
      # was rounded.
      def row_from(level, step)
        row = (level / step).ceil
        row -= 1 if (row - 1) * step >= level
        row += 1 if row * step < level
        row
      end

      # From where to where more of the one have been passed than of the other.
      def windings(downs, ups)
        i = j = round = 0
        from = nil
        while i < downs.size || j < ups.size
          down, up = downs[i], ups[j]
          way = (up.nil? || (down && down < up)) ? 1 : -1
          at = (way == 1) ? down : up
          (way == 1) ? i += 1 : j += 1
          from = at if round.zero?
          round += way
          yield from, at if round.zero? && at > from
        end
      end
    end
  end
end
