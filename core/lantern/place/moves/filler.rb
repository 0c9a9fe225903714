# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Filler = Move.know(:filler, "Over the outside edge, both ends tucked behind",
        cautions: %i[hot_glue],
        look: "Is the form still to be seen from an arm’s length?") do
        frame "Find a gap at the outside edge, where the form shows." do
          band
          [30, 41, 52, 76, 87, 98].each { coil _1 }
          way "M64 14 L64 38"
        end
        frame "Hold the cord over it, an inch more at both ends, and cut: {filler|a little less than a turn}." do
          band
          [30, 41, 52, 76, 87, 98].each { coil _1 }
          cord "M62 78 L66 22", 9, :second
          scissors 66, 22, 200
        end
        frame "Over the outside edge into its gap, both ends tucked to the back." do
          band
          [30, 41, 52, 76, 87, 98].each { coil _1 }
          cord "M63 74 L65 46", 9, :second
          fingers 64, 58, 0
          way "M72 26 Q66 20 62 34"
        end
        frame "A tack on both ends. The next gap; never two side by side." do
          band
          [30, 41, 52, 76, 87, 98].each { coil _1 }
          coil 64, 66, :second
          glue 64, 88
          way "M64 24 Q86 8 110 26"
        end
      end
    end
  end
end
