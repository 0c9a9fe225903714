# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Shoelace = Move.know(:shoelace, "Round the band, and tied as on a shoe",
        look: "Are the loops alike, and is the good side out?") do
        frame "Round the band, both ends in front, one as long as the other." do
          strip "M66 10 Q60 60 30 110", 14
          strip "M94 10 Q100 60 130 110", 14
          band 34, 34
          strip "M64 22 L64 52", 14
          strip "M96 20 L96 52", 14
        end
        frame "Right over left, and under: pull it snug." do
          band 30, 34
          strip "M62 22 Q70 50 112 84 L134 104", 14
          strip "M98 22 Q90 50 48 84 L26 104", 14
          way "M140 84 Q130 60 104 58"
        end
        frame "A loop of {loop|one size} of the right end; the left one round it." do
          band 26, 30
          loop_from 82, 52, 62, 20, 8
          strip "M78 48 Q40 60 36 100", 14
          strip "M78 50 Q92 36 100 56 Q98 72 84 70", 12
          way "M44 78 Q64 92 88 76"
        end
        frame "Push it through as a loop, and pull both." do
          band 24, 28
          bow 80, 54, 56
          knot 80, 52, 9
          way "M40 36 L12 30"
          way "M120 36 L148 30"
        end
      end
    end
  end
end
