# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Wrap = Move.know(:wrap, "Round the band, each turn over the last",
        cautions: %i[hot_glue],
        look: "Does every turn lap the last at the outside edge?") do
        frame "Fold the end under, and glue it behind." do
          strip "M34 112 L50 58", 24
          band
          glue 48, 70
          finger 40, 96, 115
        end
        frame "Round the band, a little aslant." do
          band
          turn 36
          way "M86 104 Q116 66 84 24"
        end
        frame "The next laps it by {lap|a finger’s breadth} at the outside edge." do
          band
          turns 30, 2
          line "M64 24 L64 50", dash: "3 2", width: 1
          line "M70 24 L70 50", dash: "3 2", width: 1
          label 67, 20, "{lap|lap}"
          finger 84, 70, 40
        end
        frame "Keep it taut; a tack behind every few turns." do
          band
          turns 18, 4
          cord "M118 50 L152 26", 2
          fingers 146, 30, 60
          glue 60, 92
        end
        frame "The last end folded under, glued behind." do
          band
          turns 14, 6
          gun 136, 84, 40
          glue 132, 82
        end
      end
    end
  end
end
