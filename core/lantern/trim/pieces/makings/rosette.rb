# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # A ribbon gathered round its own middle.
        class Rosette < Making
          making :rosette, title: "Rosette", called: "rosette", usual: [{as: :strip, length: 18}], move: :rosette,
            look: "Is it round, and its end out of sight?",
            tied: :glue, pinched: false

          def hands = ["Gather one long edge, wind it round its own beginning and glue turn on turn at the foot."]
        end
      end
    end
  end
end
