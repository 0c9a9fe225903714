# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Rings pressed flat and glued on one another; nothing is tied.
        class FlatGlued < Making
          making :flat_glued, title: "Glued flat",
            usual: [{as: :tail, length: 8}, {as: :ring, size: 4, count: 2}], move: :flat_rings,
            look: "Do the rings lie one on another, their middles in one line?",
            tied: :glue, bow: {tail: 4, loops: 2, loop_size: 4}

          # Round the pinched middle, in widths of ribbon (from memory).
          BAND_WIDTHS = 3

          def middle_band(ribbon)
            Part::More.new(length: BAND_WIDTHS * width_of(ribbon), sum: "#{BAND_WIDTHS} × #{bare(width_of(ribbon))}")
          end

          def hands = ["Glue each ring closed and press it flat; glue the rings on the tails and on one another."]
        end
      end
    end
  end
end
