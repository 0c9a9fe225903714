# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # Something bought whose looks nobody knows: an item is its outline, in its own size, with its name on it.
      class Tag < Lie
        # Corners of what is round.
        CORNERS = 24

        # The outline of what is so wide, round unless its height is said.
        # @return [Array<(Float, Float)>]
        def self.outline(x, y, wide, high = nil)
          return [[-1, -1], [1, -1], [1, 1], [-1, 1]].map { |dx, dy| [x + dx * wide / 2, y + dy * high / 2] } if high
          (0...CORNERS).map { |i|
            way = 2 * Math::PI * i / CORNERS
            [x + Math.cos(way) * wide / 2, y + Math.sin(way) * wide / 2]
          }
        end

        lie :tag
        looks(order: :any) { area edge: 0.05 }
      end
    end
  end
end
