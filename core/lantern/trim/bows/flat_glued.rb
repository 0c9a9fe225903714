# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Rings pressed flat, glued on one another, with a band round the middle; nothing is tied.
      class FlatGlued < Kind
        kind :flat_glued, title: "Glued flat", usual: {tail: 4, loops: 2, loop_size: 4}

        # Each ring laps on itself; the band goes round the pinched middle (from memory).
        LAP = 1
        BAND_WIDTHS = 3

        def parts
          [Part.new(unit: :rings, length: 2 * bow.loop_size + LAP, count: bow.loops),
            Part.new(unit: :middle_bands, length: BAND_WIDTHS * bow.width, count: 1),
            *(Part.new(unit: :tails, length: 2 * bow.tail, count: 1) unless bow.tail.zero?)]
        end

        def working
          [["Rings", "#{bow.loops} × (2 × #{bow.number(bow.loop_size)} + #{bow.number(LAP)})",
            bow.loops * (2 * bow.loop_size + LAP)],
            ["Band round the middle", "#{BAND_WIDTHS} × #{bow.number(bow.width)}", BAND_WIDTHS * bow.width],
            *([["Tails", "2 × #{bow.number(bow.tail)}", 2 * bow.tail]] unless bow.tail.zero?)]
        end

        # Ring upon ring, turned a little.
        def loops = (0...bow.loops).flat_map { |i| [0.0, Math::PI].map { [_1 + i * 0.4, bow.loop_size.to_f / 2] } }

        def width = bow.loop_size.to_f

        def told
          "#{bow.loops} rings of #{bow.measured(bow.loop_size)} laid flat, a band for the middle" \
            "#{tails_told}"
        end

        def says = "Glue each strip to a ring, press it flat, glue the rings on the tails and one another, and close " \
          "the band round the middle behind."

        def move = :flat_rings
      end
    end
  end
end
