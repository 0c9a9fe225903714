# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      FoldAndPush = Move.know(:fold_and_push, "Folded to and fro, pushed through, cinched behind",
        look: "Are all loops of one size, one in each space?") do
        frame "Fold the strip to and fro: {folds|as many} loops of {fold|one size}." do
          strip "M52 96 Q58 20 70 24 Q80 28 84 90 Q90 20 102 24 Q114 28 116 90 Q122 20 134 24 Q146 28 150 96", 8
          measure 10, 26, 10, 94, "{fold}"
        end
        frame "Hold the folds in one hand, their feet together." do
          [-24, 0, 24].each { |lean| loop_from 80, 96, 70, 15, -90 + lean }
          fingers 80, 98, 0
        end
        frame "From behind, push one loop through each space." do
          rails 40, 62, 84, 106
          [50, 72, 94].each { |y| loop_from 80, y + 12, 34, 13, -90 }
          way "M126 112 Q138 84 128 54"
        end
        frame "Cinch them behind with a tie, twisted twice." do
          rails 40, 84
          [-34, 0, 34].each { |lean| loop_from 80, 62, 52, 14, -90 + lean }
          stem "M58 68 Q80 78 102 68 M80 73 Q74 86 82 94 Q88 102 80 112"
          way "M100 98 Q112 88 100 78"
        end
      end
    end
  end
end
