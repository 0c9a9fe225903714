# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # A ribbon folded many times to and fro and tied in the middle, its tails a ribbon of their own.
      class FoldedMany < Kind
        kind :folded_many, title: "Folded many times", usual: {tail: 6, loops: 8, loop_size: 4}, wired: true

        def parts = [Part.new(unit: :bow_ribbons, length: 2 * bow.loops * bow.loop_size, count: 1),
          *(Part.new(unit: :tails, length: 2 * bow.tail, count: 1) unless bow.tail.zero?)]

        def working = [["The loops, laid flat", "#{bow.loops} × 2 × #{bow.number(bow.loop_size)}",
          2 * bow.loops * bow.loop_size],
          *([["Tails, a piece of their own", "2 × #{bow.number(bow.tail)}", 2 * bow.tail]] unless bow.tail.zero?)]

        def told = "folded to and fro into #{bow.loops} loops of #{bow.measured(bow.loop_size)}#{tails_told}"

        def says = "Fold to and fro, all loops alike, tie in the middle with the tails, and pull the loops apart one " \
          "by one."

        def move = :folded_many
      end
    end
  end
end
