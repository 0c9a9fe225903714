# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      TwoLoops = Move.know(:two_loops, "Two loops, one tucked under the other", look: "Are the loops alike?") do
        frame "After {tail|the tail}, pinch; a loop of {loop|one size} to the left." do
          tail 80, 60, 66, 9, 62, vee: true
          loop_from 80, 58, 66, 24, 188
          fingers 80, 58, 90, apart: 8
        end
        frame "Pinch in the middle again; as large a loop to the right." do
          tail 80, 60, 56, 9, 118, vee: true
          loop_from 80, 56, 62, 24, 188
          loop_from 80, 56, 62, 24, -8
          fingers 80, 56, 90, apart: 8, long: 24
        end
        frame "Right loop over the left, under and through." do
          tail 76, 66, 48, 8, 120, vee: true
          tail 84, 66, 48, 8, 60, vee: true
          loop_from 92, 64, 66, 22, 205
          loop_from 68, 64, 66, 22, -25
          way "M120 96 Q100 104 86 78"
        end
        frame "Pull both loops: the knot sits in the middle. Even them out." do
          bow 80, 50, 58
          knot 80, 52, 9
          fingers 30, 46, 90
          fingers 130, 46, 90
        end
      end
    end
  end
end
