# frozen_string_literal: true

module Lantern
  module Place
    # What a straight line with thickness hides: everything within `half` of it. Inches.
    Stroke = Value.define(:from, :to, :half) do
      # @return [Boolean] whether it lies over a point
      def over?(x, y)
        (ax, ay), (bx, by) = from, to
        dx, dy = bx - ax, by - ay
        length = dx**2 + dy**2
        share = length.zero? ? 0 : (((x - ax) * dx + (y - ay) * dy) / length).clamp(0, 1)
        (x - ax - share * dx)**2 + (y - ay - share * dy)**2 <= half**2
      end

      # From where to where it reaches on every level line.
      # @param step [Float] from one line to the next
      # @yieldparam row [Integer] the line's number
      # @yieldparam begins [Float]
      # @yieldparam ends [Float]
      def rows(step)
        (ax, ay), (bx, by) = (from[1] <= to[1]) ? [from, to] : [to, from]
        length = Math.hypot(bx - ax, by - ay)
        dx, dy = length.zero? ? [0.0, 0.0] : [(bx - ax) / length, (by - ay) / length]
        square, aside, up = half**2, dy * half, dx * half
        slope = (dy > 1e-9) ? dx / dy : nil
        row, last = ((ay - half) / step).ceil, ((by + half) / step).floor
        # Between its round ends it is as wide on every line.
        straight, bent = ((ay + half) / step).ceil, ((by - half) / step).floor
        while row <= last
          if slope && row == straight && row <= bent
            x, wide, along = ax - aside + (row * step - ay - up) * slope, 2 * half / dy, step * slope
            while row <= bent
              yield row, x, x + wide
              x += along
              row += 1
            end
          end
          y = row * step
          left, right = Float::INFINITY, -Float::INFINITY
          # Its round ends,
          if (reach = square - (y - ay)**2) >= 0
            reach = Math.sqrt(reach)
            left, right = ax - reach, ax + reach
          end
          if (reach = square - (y - by)**2) >= 0
            reach = Math.sqrt(reach)
            left = bx - reach if bx - reach < left
            right = bx + reach if bx + reach > right
          end
          # and its long sides, each where it is on this level.
          if slope
            down = y - ay - up
            if down >= 0 && y <= by + up
              x = ax - aside + down * slope
              left = x if x < left
              right = x if x > right
            end
            down = y - ay + up
            if down >= 0 && y <= by - up
              x = ax + aside + down * slope
              left = x if x < left
              right = x if x > right
            end
          end
          yield row, left, right if right > left
          row += 1
        end
      end

      # @return [Array<Float>] left, top, right, bottom
      def box
        (ax, ay), (bx, by) = from, to
        [[ax, bx].min - half, [ay, by].min - half, [ax, bx].max + half, [ay, by].max + half]
      end
    end
  end
end
