# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      FoldedMany = Move.know(:folded_many, "Folded to and fro, cinched in the middle",
        look: "Are all folds of one size?") do
        frame "Fold it to and fro, {fold|one length} each time." do
          4.times { |i| strip put("M24 0 L132 0 Q144 4 132 7 L24 7 Q14 11 24 14", 0, 36 + i * 14), 5 }
          measure 24, 102, 132, 102, "{fold}"
        end
        frame "The tails under it, one length folded in its middle." do
          tail 80, 64, 56, 8, 125, :second, vee: true
          tail 80, 64, 56, 8, 55, :second, vee: true
          6.times { |i| strip "M22 #{38 + i * 7} L138 #{38 + i * 7}", 5 }
        end
        frame "Tie all of it tight in the middle." do
          tail 80, 64, 52, 8, 125, :second, vee: true
          tail 80, 64, 52, 8, 55, :second, vee: true
          6.times { |i| strip "M20 #{34 + i * 9} Q60 #{54 + i * 1.5} 80 56 Q100 #{54 + i * 1.5} 140 #{34 + i * 9}", 5 }
          stem "M76 42 Q84 56 76 72"
          way "M92 96 Q106 84 94 72"
        end
        frame "Pull the loops out one by one, to one side and the other." do
          tail 80, 64, 52, 8, 120, :second, vee: true
          tail 80, 64, 52, 8, 60, :second, vee: true
          [205, 180, 155, 335, 0, 25].each { |turn| loop_from 80, 56, 58, 15, turn }
          circle 80, 56, 7
          fingers 142, 34, 60
        end
      end
    end
  end
end
