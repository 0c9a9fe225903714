# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Strips folded in half and pinched together.
        class StackedStrips < Making
          making :stacked_strips, title: "Stacked strips", usual: [{as: :strip, length: 18, count: 4}],
            move: :stacked_strips, two_sided: true, bow: {tail: 0, loops: 2, loop_size: 4}

          # What hangs down of it are its strips.
          def self.parts_of(bow) = [Parts::Strip.of_bow(bow)]

          def hands
            ["Fold each strip in half and pinch it in the middle of its length; lay them side by side in the " \
              "fingers, a little askew: loops to one side, tails to the other."]
          end

          def lies(part, turn) = part.folded(turn)
        end
      end
    end
  end
end
