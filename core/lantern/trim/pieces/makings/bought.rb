# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Bought or found, as it is.
        class Bought < Making
          making :bought, title: "As it is", called: "piece", usual: [{as: :item}], move: :tack, tied: :none,
            fixed: [{with: :glue}]

          def hands = []

          def made? = parts.size > 1
        end
      end
    end
  end
end
