# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # One cone, rolled of a square or a strip.
        class Cone < Making
          making :cone, title: "Cone", called: "cone", usual: [{as: :cone}], move: :cone, tied: :glue,
            fixed: [{with: :glue}], pinched: false

          def hands = ["Roll it to a point, glue only the last edge, then the foot flat."]
        end
      end
    end
  end
end
