# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Pen = Move.know(:pen, "Wound on a pen, slid off", tools: ["pen"], look: "Does each keep its curl?") do
        frame "Hold one end on the pen with a thumb." do
          area "M10 54 L130 54 L150 62 L130 70 L10 70 Z", :metal
          strip "M30 52 Q26 90 60 106", 4
          finger 32, 52, -100
        end
        frame "Wind it round, turn beside turn." do
          area "M10 54 L130 54 L150 62 L130 70 L10 70 Z", :metal
          9.times { |i| strip "M#{34 + i * 8} 74 L#{38 + i * 8} 50", 4 }
          way "M112 44 Q122 26 104 24"
        end
        frame "Slide it off the pen." do
          area "M70 54 L130 54 L150 62 L130 70 L70 70 Z", :metal
          9.times { |i| strip "M#{10 + i * 8} 76 Q#{4 + i * 8} 62 #{14 + i * 8} 50", 4 }
          way "M60 30 L22 30"
        end
        frame "Pull it out a little: it keeps its curl." do
          turns = (0..2).map { |i| put("Q18 76 34 60 Q44 32 54 60 Q60 84 50 84", i * 28, 0) }
          strip "M8 60 Q16 30 26 60 Q32 84 22 84 #{turns.join(" ")} L134 60", 4
          fingers 138, 60, 0
          way "M118 100 L150 100"
        end
      end
    end
  end
end
