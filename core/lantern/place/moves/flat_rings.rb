# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      FlatRings = Move.know(:flat_rings, "Rings pressed flat, glued on one another",
        look: "Do the rings lie one on another, their middles in one line?",
        cautions: %i[hot_glue]) do
        frame "Close the strip to a ring, its ends lapped and glued." do
          ellipse 80, 60, 54, 30
          ellipse 80, 60, 42, 20, :paper
          glue 80, 84
          finger 80, 92, 80
        end
        frame "Press it flat: {size|so wide}, its seam behind in the middle." do
          area "M18 46 Q12 60 18 74 L142 74 Q148 60 142 46 Z"
          line "M22 60 L138 60", width: 1, opacity: 0.5
          measure 18, 96, 142, 96, "{size}"
        end
        frame "Glue it on the tails, middle on middle." do
          tail 80, 66, 52, 10, 115, vee: true
          tail 80, 66, 52, 10, 65, vee: true
          area "M22 40 Q16 52 22 64 L138 64 Q144 52 138 40 Z"
          glue 80, 74
        end
        frame "The smaller on the larger; a band round the middle hides the glue." do
          tail 80, 66, 50, 10, 115, vee: true
          tail 80, 66, 50, 10, 65, vee: true
          area "M20 38 Q14 52 20 66 L140 66 Q146 52 140 38 Z"
          area "M40 42 Q36 52 40 62 L120 62 Q124 52 120 42 Z", :first
          area "M72 34 L88 34 L88 70 L72 70 Z", :second
        end
      end
    end
  end
end
