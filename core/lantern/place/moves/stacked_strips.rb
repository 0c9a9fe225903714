# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      StackedStrips = Move.know(:stacked_strips, "Folded in half, pinched side by side",
        look: "Are both sides alike, and is the good side out?") do
        frame "Fold a strip of {length|its length} in half, good side out." do
          strip "M20 46 L120 46 Q138 46 138 58 Q138 70 120 70 L20 70", 11
          fingers 138, 58, 0
        end
        frame "Pinch it in the middle of its folded length." do
          loop_from 80, 60, 64, 16, 0
          tail 80, 58, 58, 8, 174, vee: true
          tail 80, 62, 58, 8, 186, vee: true
          fingers 80, 60, 90, apart: 6
        end
        frame "The next beside it in the fingers, a little askew." do
          [-22, 0, 22].each do |turn|
            loop_from 80, 62, 58, 14, turn - 90
            tail 80, 62, 48, 7, turn + 90, vee: true
          end
          fingers 80, 62, 0, apart: 8
        end
        frame "A folded stem round all of them, twisted behind; loops to one side, tails to the other." do
          [-36, -12, 12, 36].each do |turn|
            loop_from 80, 60, 56, 14, turn - 90
            tail 80, 60, 50, 7, turn + 90, vee: true
          end
          stem "M58 60 L102 60 M102 60 Q114 56 120 66 Q128 74 138 66"
        end
      end
    end
  end
end
