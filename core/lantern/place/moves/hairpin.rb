# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Hairpin = Move.know(:hairpin, "Over its middle, into the form",
        ties: true,
        tools: ["pliers", "wire cutter"],
        look: "Pull at it: does it hold?",
        cautions: %i[wire_ends]) do
        frame "Cut {length|a hand's breadth} of stiff wire." do
          wire "M20 60 L124 60", width: 3.4
          measure 20, 80, 124, 80, "{length}"
          pliers 126, 60, 20
        end
        frame "Bend it over a finger to a hairpin, both legs alike." do
          finger 80, 34, -90
          wire "M66 106 L66 44 Q66 28 80 28 Q94 28 94 44 L94 106", width: 3.4
        end
        frame "Over the middle, its legs into the form or past the frame." do
          band 84, 34
          [190, 150, -10, 30].each { |turn| tail 80, 58, 50, 8, turn }
          wire "M72 92 L72 54 Q80 44 88 54 L88 92", width: 3.4
          way "M104 36 L104 66"
        end
        frame "Behind, bend both ends over, the points turned in." do
          band 40, 36
          wire "M70 20 L70 74 Q70 86 60 84 M90 20 L90 74 Q90 86 100 84", width: 3.4
          pliers 102, 84, 30
        end
      end
    end
  end
end
