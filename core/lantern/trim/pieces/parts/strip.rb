# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A strip laid crosswise, or folded in half.
        class Strip < Part
          part :strip, title: "Strip", unit: :strips, measures: {length: 18}, optional: [:width]

          def told = "a strip #{text(length)} long#{", #{text(width)} wide" if width}"

          def lies(turn) = [[Place::Lie::Tail, (0...count).flat_map { across_it(turn + _1 * 0.45, length.to_f) }]]
        end
      end
    end
  end
end
