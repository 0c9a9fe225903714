# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Tied round the form as a shoe is.
        class Shoelace < Making
          making :shoelace, title: "Tied like a shoelace",
            usual: [{as: :ribbon, tail: 5, loops: 2, loop_size: 3}], move: :shoelace,
            tied: :own, fixed: []

          def hands
            ["Round the band, a half knot in front, then two loops tied as on a shoe; pull the good side out."]
          end

          def round_band? = true
        end
      end
    end
  end
end
