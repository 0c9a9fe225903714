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

      # @return [Array<Float>] left, top, right, bottom
      def box
        (ax, ay), (bx, by) = from, to
        [[ax, bx].min - half, [ay, by].min - half, [ax, bx].max + half, [ay, by].max + half]
      end
    end
  end
end
