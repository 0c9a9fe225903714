# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice: as it is shown across a table.
      PinchAndTwist = Move.know(:pinch_and_twist, "Pinch, loop, half a twist",
        look: "Are both sides alike, and is the good side out?") do
        frame "Measure {tail|the tail}, good side up. Pinch there." do
          tail 96, 56, 84, 16, 180, vee: true
          area "M96 40 L150 40 L150 72 L96 72 Z"
          fingers 96, 56, 90, apart: 14
          measure 12, 96, 96, 96, "{tail|tail}"
        end
        frame "Half a twist: the good side looks down now." do
          tail 84, 60, 74, 15, 180, vee: true
          area "M84 45 Q92 56 84 75 L152 84 L152 38 Z", :first_shade
          fingers 85, 60, 90, apart: 10
          way "M104 26 Q122 14 132 34"
        end
        frame "A loop of {loop|one size} to the right. Pinch, half a twist." do
          tail 58, 62, 50, 12, 180, vee: true
          loop_from 58, 62, 86, 24
          fingers 58, 62, 90, apart: 8
          measure 58, 100, 144, 100, "{loop|loop}"
        end
        frame "One to the left, as large. Then again on each side; the last length is the second tail." do
          bow 80, 52, 58
          fingers 80, 54, 90, apart: 6, long: 26
        end
        frame "A loop in the centre, {centre|where there is one}: round a thumb, pinched with the rest." do
          bow 80, 58, 56
          area "M66 60 Q60 30 80 30 Q100 30 94 60 Q80 68 66 60 Z"
          ellipse 80, 38, 11, 7, :first_shade
          finger 80, 38, -90
        end
        frame "Tie it under all loops at the middle, pull tight, twist behind. Open the loops." do
          bow 80, 50, 58
          stem "M74 34 Q84 50 76 68 M76 68 Q70 82 80 90 Q88 98 80 108"
          way "M98 96 Q108 82 94 74"
        end
      end
    end
  end
end
