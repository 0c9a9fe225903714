# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Folded in zigzag like the bellows of an accordion, and tied across the middle.
      class Accordion < Kind
        kind :accordion, title: "Accordion folds", usual: {tail: 0, loops: 10, loop_size: 3}, wired: true

        def parts = [Part.new(what: "bow ribbon", length: 2 * bow.loops * bow.loop_size, count: 1), *(Part.new(what: "tails", length: 2 * bow.tail, count: 1) unless bow.tail.zero?)]

        def working = [["Folds from end to end", "#{bow.loops} × 2 × #{bow.said(bow.loop_size)}", 2 * bow.loops * bow.loop_size], *([["Tails, a piece of their own", "2 × #{bow.said(bow.tail)}", 2 * bow.tail]] unless bow.tail.zero?)]

        def says = "Fold in even zigzags as wide as the bow, tie across the middle, and pull the folds open to both sides."

        def move = "zigzag"
      end
    end
  end
end
