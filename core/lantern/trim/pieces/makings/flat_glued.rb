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
            tied: :glue

          def hands = ["Glue each strip to a ring and press it flat; glue the rings on the tails and on one another."]
        end
      end
    end
  end
end
