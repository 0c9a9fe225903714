# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Rings of their own sizes, laid on one another.
        class Rings < Making
          making :rings, title: "Rings on one another",
            usual: [{as: :ring, size: 6}, {as: :ring, size: 4}], move: :rings,
            look: "Do the rings lie one on another, their middles in one line?",
            tied: :own

          def hands
            ["Close each ring with glue (in a loose weave by a spatula, not pressed flat); lay the smaller on the " \
            "larger, middle on middle#{", over the tails" if parts.grep(Parts::Tail).any?}.",
              "A cord round the middle of all, its ends long enough to tie it on."]
          end
        end
      end
    end
  end
end
