# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Gathered = Move.know(:gathered, "Bunched in the hand, wound soft",
        cautions: %i[hot_glue],
        look: "Do the folds lie alike, and does no form show?") do
        frame "The end folded under, glued behind." do
          strip "M30 112 L52 60", 34
          band
          glue 46, 70
        end
        frame "Bunch the strip in your hand to about {bunch|half its width}." do
          area "M8 20 L150 44 L150 76 L8 100 Z"
          [32, 46, 60, 74, 88].each do |y|
            line "M8 #{y} Q80 #{(y + 60) / 2} 150 #{(y + 120) / 3}", width: 1, opacity: 0.6
          end
          fingers 118, 60, 90
        end
        frame "Wind it so, loosely, in folds." do
          band
          [30, 52].each { gathered_turn _1 }
          way "M110 104 Q136 66 108 26"
        end
        frame "Each turn over the edge of the last; pull the folds even with a finger." do
          band
          [16, 38, 60, 82].each { gathered_turn _1 }
          finger 98, 58, 20
        end
      end
    end
  end
end
