# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Rings of strip, each smaller than the one below it, on one another.
      class LayeredLoops < Kind
        kind :layered_loops, title: "Layered loops", usual: {tail: 0, loops: 3, loop_size: 4}

        # Each ring laps on itself (from memory).
        LAP = 1

        def parts = sizes.map { |size|
          Part.new(unit: :rings, of: " of #{bow.number(size)}", length: 2 * size + LAP,
            count: 1)
        } + ends

        def working =
          sizes.map { |size|
            ["A ring of #{bow.number(size)}", "2 × #{bow.number(size)} + #{bow.number(LAP)}", 2 * size + LAP]
          }

        def loops = sizes.flat_map { |size| [[0.0, size.to_f / 2], [Math::PI, size.to_f / 2]] }

        # A ring laid flat is as wide as its size.
        def width = bow.loop_size.to_f

        def told = "rings laid flat of #{Measure::Words.list(sizes.map { bow.measured(_1) }, last: "and")}#{tails_told}"

        def says = "Close each strip to a ring, press it flat, and lay the smaller on the larger; a stitch or a tie " \
          "through the middle of all."

        def move = :layered_rings

        private

        # From the largest down in equal steps.
        def sizes = (0...bow.loops).map { |i| bow.loop_size * (bow.loops - i) / bow.loops }

        def ends = bow.tail.zero? ? [] : [Part.new(unit: :tails, length: 2 * bow.tail, count: 1)]
      end
    end
  end
end
