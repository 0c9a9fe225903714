# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      LayeredRings = Move.know(:layered_rings, "Rings laid flat, the smaller on the larger",
        look: "Does every ring show beside the one above it?") do
        frame "Close each strip to a ring." do
          ellipse 56, 60, 44, 26
          ellipse 56, 60, 34, 17, :paper
          ellipse 124, 66, 28, 18
          ellipse 124, 66, 20, 11, :paper
        end
        frame "Press each flat, its seam behind in the middle: the largest {size|first}." do
          area "M18 34 Q12 46 18 58 L142 58 Q148 46 142 34 Z"
          area "M40 78 Q36 88 40 98 L120 98 Q124 88 120 78 Z"
          finger 80, 40, -90
        end
        frame "The smaller on the larger, middle on middle." do
          area "M16 44 Q10 60 16 76 L144 76 Q150 60 144 44 Z"
          area "M40 48 Q36 60 40 72 L120 72 Q124 60 120 48 Z", :first_shade
          way "M80 10 L80 36"
        end
        frame "Pinch all of them in the middle; a stem under all, twisted behind." do
          loop_from 80, 58, 66, 26, 184
          loop_from 80, 58, 66, 26, -4
          loop_from 80, 58, 44, 18, 184, :second
          loop_from 80, 58, 44, 18, -4, :second
          stem "M76 38 Q84 58 76 78 Q72 92 82 100"
        end
      end
    end
  end
end
