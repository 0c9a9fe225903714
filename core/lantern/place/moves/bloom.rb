# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Bloom = Move.know(:bloom, "Pushed through, each touching its neighbours", look: "Is the grid out of sight?") do
        frame "The grid is tied to the inside edge, taut." do
          strip "M10 14 Q80 -4 150 14", 14, :form
          grid top: 16, first: 32, apart: 24
          3.times { |i| stem "M#{48 + i * 30} 22 Q#{50 + i * 30} 34 #{54 + i * 30} 22" }
        end
        frame "In the middle of the opening, open a hole with a finger." do
          grid top: 6, first: 20, apart: 26
          circle 80, 60, 13, :paper
          finger 80, 60, 70
        end
        frame "Push the bloom's foot through from the front, until it sits." do
          grid top: 6, first: 20, apart: 26
          flower 80, 58
          way "M80 4 L80 26"
        end
        frame "The next touches it; a drop of glue behind where one is loose. From the middle out." do
          [[80, 60], [47, 60], [113, 60], [63, 32], [97, 32], [63, 88], [97, 88]].each do |x, y|
            flower x, y, 9
          end
          way "M124 100 Q144 84 140 64"
        end
      end
    end
  end
end
