# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      CableTie = Move.know(:cable_tie, "Round it and the form, pulled tight, cut short", ties: true,
        tools: ["wire cutter"], look: "Pull at it: does it hold?") do
        frame "The tie round its stem and the form, its smooth side in." do
          band
          sprig 80, 46, -90
          line "M72 92 L72 40 Q80 32 88 40 L88 92", :ink, width: 4
        end
        frame "Behind, its end through its own eye." do
          band 56, 40
          line "M60 34 L60 84 L104 96", :ink, width: 4
          area "M54 78 L70 78 L70 94 L54 94 Z", :metal
          way "M112 84 Q120 100 132 98"
        end
        frame "Pull it tight: nothing moves under it." do
          band 56, 40
          eye_of_tie
          line "M70 84 L128 96", :ink, width: 4
          fingers 128, 96, 100, apart: 4, long: 22
          way "M84 106 L112 112"
        end
        frame "Cut it short, flush with the eye, so that no end scratches." do
          band 56, 40
          eye_of_tie
          line "M70 84 L80 86", :ink, width: 4
          pliers 82, 88, 20
        end
      end
    end
  end
end
