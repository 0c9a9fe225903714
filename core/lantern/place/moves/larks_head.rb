# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      LarksHead = Move.know(:larks_head, "Loop behind, both ends through", look: "Does it hang straight?") do
        frame "Lay {hang|the cord} double." do
          cord "M70 112 L70 40 Q70 18 80 18 Q90 18 90 40 L90 112", 8
          fingers 80, 18, 90, apart: 6, long: 20
        end
        frame "The loop behind the band, its ends in front." do
          cord "M66 112 L66 34 Q66 12 80 12 Q94 12 94 34 L94 112", 8
          band 62, 34
          cord "M66 92 L66 112", 8
          cord "M94 92 L94 112", 8
        end
        frame "Both ends up over the band, and through the loop." do
          cord "M58 52 L58 30 Q58 8 80 8 Q102 8 102 30 L102 52", 8
          band 66, 34
          cord "M72 88 L74 44 L74 2", 8
          cord "M88 88 L86 44 L86 2", 8
          cord "M62 26 Q80 18 98 26", 8
          way "M120 80 Q128 40 108 18"
        end
        frame "Pull tight, out of sight behind; knot the ends: it hangs." do
          band 82, 34
          cord "M70 98 L72 66", 8
          cord "M90 98 L88 66", 8
          cord "M64 70 Q80 58 96 70", 8
          cord "M76 66 Q66 28 80 14 Q94 28 84 66", 8
          knot 80, 13, 7
        end
      end
    end
  end
end
