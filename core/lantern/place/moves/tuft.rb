# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Tuft = Move.know(:tuft, "Two strips crossed, twisted into a tie",
        look: "Do its ends stand up, and does nothing slip out?") do
        frame "Fold each strip lengthwise, and cut its ends to points." do
          area "M10 60 L28 44 L132 44 L150 60 L132 76 L28 76 Z"
          line "M10 60 L150 60", width: 1
          scissors 30, 44, 140
        end
        frame "Two of them crossed in the middle." do
          area put("M-66 0 L-50 -11 L50 -11 L66 0 L50 11 L-50 11 Z", 80, 62, 28)
          area put("M-66 0 L-50 -11 L50 -11 L66 0 L50 11 L-50 11 Z", 80, 62, -28), :second
        end
        frame "Into the form's own tie, twisted shut over the middle." do
          rails 84
          area put("M-60 0 L-44 -9 L0 -4 L44 -9 L60 0 L44 9 L0 4 L-44 9 Z", 80, 66, 28)
          area put("M-60 0 L-44 -9 L0 -4 L44 -9 L60 0 L44 9 L0 4 L-44 9 Z", 80, 66, -28), :second
          stem "M80 88 Q68 70 80 56 Q92 70 80 88 M80 56 Q74 46 82 40"
          way "M96 40 Q104 30 90 26"
        end
        frame "Pull the ends up; the next in every other tie." do
          rails 92
          [26, 80, 134].each do |x|
            [-140, -110, -70, -40].zip(%i[first second first second]) do |turn, paint|
              area put("M0 -3 L34 -8 L44 0 L34 8 L0 3 Z", x, 84, turn), paint
            end
            stem "M#{x - 6} 92 Q#{x} 76 #{x + 6} 92"
          end
          [53, 107].each { |x| stem "M#{x} 96 L#{x} 82" }
        end
      end
    end
  end
end
