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
        (ax, ay), (bx, by) = from, to
        length = Math.hypot(bx - ax, by - ay)
        dx, dy = length.zero? ? [0.0, 0.0] : [(bx - ax) / length, (by - ay) / length]
        _, top, _, bottom = box
        (top / step).ceil.upto((bottom / step).floor) do |row|
          y = row * step
          left = right = nil
          [[ax, ay], [bx, by]].each do |x, middle|
            reach = half**2 - (y - middle)**2
            next if reach.negative?
            reach = Math.sqrt(reach)
            left = x - reach if left.nil? || x - reach < left
            right = x + reach if right.nil? || x + reach > right
          end
          # Its long sides: where they cross the line between their ends.
          [half, -half].each do |aside|
            next if dy.zero?
            along = (y - ay - dx * aside) / dy
            next unless along.between?(0, length)
            x = ax + dx * along - dy * aside
            left = x if left.nil? || x < left
            right = x if right.nil? || x > right
          end
          yield row, left, right if left && right > left
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
