# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      PressMoss = Move.know(:press_moss, "Pressed into glue, tuft beside tuft",
        look: "Does no foam show between the tufts, and does nothing fall when you shake it?") do
        frame "Spread tacky glue on a hand's breadth of the form." do
          band
          strip "M34 70 Q70 60 108 64", 26, :glue
          area put("M0 0 L44 -8 L50 8 L6 12 Z", 104, 56, -30), :paper
        end
        frame "Pull off a tuft, as large as a walnut." do
          area "M20 84 Q10 50 40 44 Q50 24 76 40 Q104 34 100 64 Q110 92 80 96 Q50 110 20 84 Z"
          5.times { |i| line "M#{34 + i * 13} 88 Q#{30 + i * 13} 66 #{40 + i * 12} 52", width: 1, opacity: 0.6 }
          fingers 112, 56, 20
        end
        frame "Press it into the glue, and hold while you count to five." do
          band
          strip "M34 70 Q70 60 108 64", 26, :glue
          area "M44 72 Q40 50 60 48 Q80 40 88 58 Q94 78 72 80 Q54 86 44 72 Z"
          finger 68, 48, -90
        end
        frame "The next close beside it, so that no form shows between." do
          band
          [24, 58, 92].each { |x| area put("M0 72 Q-6 50 16 46 Q38 40 42 58 Q46 82 24 82 Q8 88 0 72 Z", x, 0) }
          way "M140 36 Q134 50 132 54"
        end
      end
    end
  end
end
