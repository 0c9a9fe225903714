# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      VCut = Move.know(:v_cut, "Folded lengthwise, cut away from the fold",
        tools: ["scissors"],
        look: "Are both points of one length?") do
        frame "Fold the end in half lengthwise, good side out." do
          area "M10 40 L120 40 L120 80 L10 80 Z"
          area "M10 40 L120 40 L112 60 L10 60 Z", :first_shade
          way "M132 84 Q146 60 126 44"
        end
        frame "From the fold outward, cut aslant: as deep as half its width." do
          area "M10 52 L128 52 L128 74 L10 74 Z"
          line "M104 52 L128 74", dash: "4 3"
          scissors 106, 54, 220
        end
        frame "Open it: the V is even." do
          tail 10, 60, 120, 22, 0, vee: true
          way "M128 100 L148 88"
        end
        frame "Lay the other end on it, and cut it alike." do
          tail 10, 50, 116, 18, 0, vee: true
          tail 16, 72, 124, 18, 0
          line "M140 54 L122 72 L140 90", dash: "4 3"
        end
      end
    end
  end
end
