# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Inlay = Move.know(:inlay, "Over some, under some, folded at each change",
        cautions: %i[hot_glue],
        look: "Is the rhythm the same all round?") do
        frame "Coil the cord; the ribbon lies on the band before each coil." do
          band
          strip "M0 66 Q60 56 150 50", 12, :second
          coils 24, 3
        end
        frame "Fold the ribbon back, and coil over the bare band: {over|some} coils." do
          band
          strip "M0 72 Q30 66 60 62", 12, :second
          coils 24, 4
          strip "M62 62 Q48 40 30 34", 12, :second
          way "M76 50 Q64 28 44 24"
        end
        frame "Fold it forward, flat over those coils." do
          band
          coils 24, 7
          strip "M44 66 Q80 58 140 52", 12, :second
          way "M40 26 Q70 10 96 34"
        end
        frame "Coil {under|a few} over it. So on, in the same rhythm." do
          band
          coils 14, 10
          area "M36 56 L78 53 L78 67 L36 70 Z", :second
          area "M102 54 L124 56 L124 70 L102 67 Z", :second
        end
      end
    end
  end
end
