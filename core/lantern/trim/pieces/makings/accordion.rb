# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Folded like a fan.
        class Accordion < Making
          making :accordion, title: "Accordion folds", usual: [{as: :fold, folds: 10, fold_size: 3}],
            move: :accordion, bow: {tail: 0, loops: 10, loop_size: 3}, wired: true

          def hands = ["Fold to and fro to a fan, sharp at every fold, tie it in the middle and open both halves."]
        end
      end
    end
  end
end
