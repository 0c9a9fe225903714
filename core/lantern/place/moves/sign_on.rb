# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      SignOn = Move.know(:sign_on, "Two stems through it, twisted behind",
        ties: true,
        tools: ["pliers"],
        look: "Does it hang level, and does it hold?",
        cautions: %i[wire_ends]) do
        frame "Take its own cord off, if it has one." do
          area "M30 50 L130 50 L130 96 L30 96 Z", :paper
          cord "M44 52 Q80 -2 116 52", 3, :second
          way "M116 22 L144 12"
        end
        frame "A stem through each hole, or two glued behind under a scrap." do
          area "M26 40 L134 40 L134 90 L26 90 Z", :paper
          [44, 116].each { |x| stem "M#{x - 10} 18 Q#{x} 46 #{x} 52 Q#{x} 60 #{x + 8} 112" }
          [44, 116].each { |x| circle x, 52, 3, :ink, edge: 0 }
        end
        frame "Hold it where it is to be, level." do
          band 60, 34
          area "M34 50 L126 50 L126 92 L34 92 Z", :paper
          finger 34, 72, 190
          finger 126, 72, -10
        end
        frame "Twist both behind the band, the ends turned in." do
          area "M34 50 L126 50 L126 100 L34 100 Z", :paper
          band 60, 30
          [50, 110].each { |x| stem put("M-7 40 Q-9 66 0 74 Q8 82 0 88 M7 40 Q9 66 0 74 Q-8 82 0 88", x, 0) }
        end
      end
    end
  end
end
