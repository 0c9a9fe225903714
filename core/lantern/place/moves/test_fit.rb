# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice: tried before it is glued.
      TestFit = Move.know(:test_fit, "One turn, tried without glue",
        look: "Does it lie flat, and does it take as much as it should?") do
        frame "The end behind the band, held with a finger." do
          strip "M40 110 L52 60", 24
          band
          finger 44, 94, 120
        end
        frame "One turn round, no tighter than it is to lie." do
          band
          turn 44
          way "M96 100 Q124 66 96 26"
        end
        frame "Mark where it meets itself, and measure the turn: {turn|what it took}." do
          strip "M14 60 L146 60", 24
          line "M126 46 L126 74", dash: "4 3"
          measure 14, 92, 126, 92, "{turn|one turn}"
        end
        frame "Measure how far it goes on: {pitch|from edge to edge}." do
          band
          turns 34, 2, 66, pitch: 40
          measure 48, 26, 88, 26, "{pitch}"
        end
      end
    end
  end
end
