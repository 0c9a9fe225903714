# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Joined = Move.know(:joined, "Two ends side by side, bound", look: "Does it hang straight?") do
        frame "Leave both ends of the last row long, behind at the top." do
          band 84, 30
          cord "M50 88 L44 24", 9
          cord "M110 88 L116 24", 9
        end
        frame "Lay them side by side into a loop, a hand high." do
          band 88, 30
          cord "M62 88 Q50 20 78 14 Q100 12 92 60", 9
          cord "M98 88 Q110 20 82 14", 9
          fingers 84, 22, 0, apart: 10
        end
        frame "Bind them with thread or wire: ten turns, close." do
          band 90, 26
          cord "M66 88 Q44 14 80 12 Q116 14 94 88", 9
          7.times { |i| wire "M66 #{52 + i * 5} L95 #{50 + i * 5}", width: 2.4 }
          way "M112 82 Q124 66 110 50"
        end
        frame "Knot the thread, and a drop of glue on it." do
          band 90, 26
          cord "M66 88 Q44 14 80 12 Q116 14 94 88", 9
          7.times { |i| wire "M66 #{50 + i * 5} L95 #{48 + i * 5}", width: 2.4 }
          glue 80, 78
        end
      end
    end
  end
end
