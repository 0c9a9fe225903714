# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Rings of one strip, each smaller than the one below.
        class LayeredLoops < Making
          making :layered_loops, title: "Layered loops", usual: [{as: :ring, size: 4}, {as: :ring, size: 3}],
            move: :layered_rings

          def hands = ["Close each strip to a ring and press it flat; lay the smaller on the larger, middle on middle."]
        end
      end
    end
  end
end
