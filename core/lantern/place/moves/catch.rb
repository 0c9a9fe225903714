# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Catch = Move.know(:catch, "Gather, and twist the tie shut",
        tools: ["pliers"],
        look: "Do the loops stand alike?") do
        frame "Gather the whole width at a tie." do
          rails 74
          area "M6 20 Q44 34 70 66 Q44 96 6 108 Z"
          [34, 52, 76, 94].each { |y| line "M8 #{y} Q46 #{(y + 64) / 2} 68 66", width: 1, opacity: 0.6 }
          stem "M72 78 L66 52 M82 78 L90 52"
          fingers 62, 66, 90
        end
        frame "The tie over it, twisted shut." do
          rails 74
          area "M6 30 Q44 40 78 64 Q44 88 6 98 Z"
          area "M150 30 Q112 40 78 64 Q112 88 150 98 Z"
          stem "M78 76 Q64 64 78 52 Q92 64 78 76 M78 52 Q72 44 80 36 Q86 30 80 22"
          way "M96 40 Q104 30 92 24"
        end
        frame "Leave {loop|one length} to the next tie, no more." do
          rails 88
          area "M22 82 Q30 10 80 12 Q130 10 138 82 Q110 40 80 42 Q50 40 22 82 Z"
          [22, 138].each { |x| stem "M#{x - 5} 96 Q#{x} 76 #{x + 5} 96" }
          measure 22, 104, 138, 104, "{loop}"
        end
        frame "So on round the outer rail; then the one inside it." do
          rails 50, 96
          [20, 62, 104].each { |x| area put("M0 46 Q6 6 21 8 Q38 6 42 46 Q21 28 0 46 Z", x, 0) }
          area "M40 92 Q46 60 60 62 Q76 60 80 92 Q60 78 40 92 Z"
          way "M96 84 L138 84"
        end
      end
    end
  end
end
