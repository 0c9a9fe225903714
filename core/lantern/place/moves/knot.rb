# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Knot = Move.know(:knot, "Round, and a double knot on the front",
        look: "Are the knots in one line and the tails alike?") do
        frame "The middle of the strip behind the bar, both ends towards you." do
          strip "M52 112 Q50 60 66 34", 13
          strip "M108 112 Q110 60 94 34", 13
          wire "M0 58 L160 58", width: 7
          area "M62 48 L98 48 L94 30 L66 30 Z"
        end
        frame "Right over left, and under: the first half." do
          wire "M0 44 L160 44", width: 7
          strip "M62 36 Q58 66 100 92", 13
          strip "M98 36 Q102 66 60 92", 13
          area "M60 48 L100 48 L98 32 L62 32 Z"
          way "M116 84 Q122 60 102 56"
        end
        frame "Pull it tight against the bar." do
          wire "M0 44 L160 44", width: 7
          strip "M76 54 L24 84", 13
          strip "M84 54 L136 84", 13
          knot 80, 48, 10
          fingers 26, 84, 60
          fingers 134, 84, 120
        end
        frame "Left over right: the second half, and tight again." do
          wire "M0 44 L160 44", width: 7
          strip "M74 56 Q96 78 112 92", 13
          strip "M86 56 Q64 78 48 92", 13
          knot 80, 48, 11
          way "M42 78 Q44 58 64 58"
        end
        frame "Turn the knot to the front; tails of {tail|one length}. The next close beside it." do
          wire "M0 80 L160 80", width: 7
          [46, 70].each do |x|
            tail x, 74, 44, 6, -118
            tail x, 74, 44, 6, -66
            knot x, 78, 8
          end
          measure 102, 34, 102, 74, "{tail|tail}"
        end
      end
    end
  end
end
