# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      InHoles = Move.know(:in_holes, "A hole in each end, the cord glued in",
        look: "Has it set before it carries anything?",
        tools: ["skewer"],
        cautions: %i[hot_glue]) do
        frame "A hole in each end, as deep as a finger." do
          area "M30 112 Q20 80 30 56 L78 56 Q70 84 80 112 Z", :form
          area put("M0 0 L8 -3 L64 -3 L64 3 L8 3 Z", 54, 66, -90), :metal
        end
        frame "Glue into the hole." do
          area "M30 112 Q20 80 30 56 L78 56 Q70 84 80 112 Z", :form
          ellipse 54, 58, 8, 4, :ink
          gun 54, 54, -60
        end
        frame "Push the cord's end in, to the bottom." do
          area "M30 112 Q20 80 30 56 L78 56 Q70 84 80 112 Z", :form
          cord "M54 58 Q60 20 120 14", 6
          way "M40 16 L40 44"
        end
        frame "The other end likewise; let both set before it hangs." do
          area "M14 112 Q4 84 14 70 L46 70 Q40 90 48 112 Z", :form
          area "M146 112 Q156 84 146 70 L114 70 Q120 90 112 112 Z", :form
          cord "M30 72 Q40 10 80 10 Q120 10 130 72", 6
        end
      end
    end
  end
end
