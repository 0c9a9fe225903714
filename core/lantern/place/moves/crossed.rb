# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Crossed = Move.know(:crossed, "Ends crossed, the middle brought down, tied with a cord",
        look: "Do the ends hang alike?") do
        frame "Mark {tail|the tail} from each end." do
          strip "M8 56 L152 56", 22
          [50, 110].each { |x| line "M#{x} 44 L#{x} 68", dash: "4 3" }
          measure 8, 88, 50, 88, "{tail|tail}"
          measure 110, 88, 152, 88, "{tail|tail}"
        end
        frame "Cross the ends at the marks." do
          strip "M40 112 Q120 62 116 36 Q112 14 80 14 Q48 14 44 36 Q40 62 120 112", 16
          fingers 80, 84, 0
        end
        frame "Bring the middle down on the crossing." do
          tail 80, 66, 56, 8, 125, vee: true
          tail 80, 66, 56, 8, 55, vee: true
          loop_from 80, 62, 62, 22, 192
          loop_from 80, 62, 62, 22, -12
          way "M80 12 L80 44"
        end
        frame "Fold it in half, and the sides back: a pleat to the front." do
          bow 80, 56, 58
          line "M72 44 Q80 50 88 44 M72 66 Q80 60 88 66"
          fingers 80, 56, 90, apart: 8, long: 24
        end
        frame "The cord round the middle, a double knot behind; its ends tie it on." do
          bow 80, 50, 58
          cord "M74 34 Q82 50 76 66", 6, :second
          cord "M86 34 Q80 50 86 66", 6, :second
          cord "M76 66 Q60 88 66 110 M86 66 Q100 88 94 110", 4, :second
        end
      end
    end
  end
end
