# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Folded in zigzag like the bellows of an accordion, and tied across the middle.
      class Accordion < FoldedMany
        kind :accordion, title: "Accordion folds", usual: {tail: 0, loops: 10, loop_size: 3}, wired: true

        def move = :accordion

        def told = "folded to and fro into #{bow.loops} folds of #{bow.measured(bow.loop_size)}"

        def says = "Fold in even zigzags as wide as the bow, tie across the middle, and pull the folds open to both " \
          "sides."
      end
    end
  end
end
