# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A strip laid crosswise, or folded in half.
        class Strip < Part
          part :strip, title: "Strip", unit: :strips, measures: {length: 18}, optional: [:width]

          def self.of_bow(bow) = {as: :strip, length: bow.strip_length, count: bow.strips}

          def told = "a strip #{text(cut)} long#{", #{text(width)} wide" if width}"

          def lies(turn) = [[Place::Lie::Tail, (0...count).flat_map { across_it(turn + _1 * 0.45, length.to_f) }]]

          # A loop above, two ends below, each a quarter long.
          def folded(_turn)
            quarter = length.to_f / 4
            [[Place::Lie::Tail, fan(2 * count, DOWN, quarter)], [Place::Lie::Loop, fan(count, -DOWN, quarter)]]
          end
        end
      end
    end
  end
end
