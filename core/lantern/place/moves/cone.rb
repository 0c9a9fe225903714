# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Cone = Move.know(:cone, "Rolled, its seam glued, its foot flat",
        look: "Are the mouths alike?",
        cautions: %i[hot_glue]) do
        frame "A square of {size|one size}, good side down." do
          area "M44 20 L116 20 L116 92 L44 92 Z", :first_shade
          measure 44, 102, 116, 102, "{size}"
        end
        frame "Roll one corner over to the middle: the point stays at the foot." do
          area "M40 24 L112 24 L112 96 Z", :first_shade
          area "M40 24 Q64 62 112 96 Q52 92 40 24 Z"
          way "M28 76 Q34 96 66 92"
          finger 112, 98, 60
        end
        frame "Round once more, tight at the point, open at the mouth." do
          area "M30 30 Q70 6 92 46 L124 108 Z"
          ellipse 58, 34, 32, 14, :first_shade, turned: 24
          way "M96 26 Q120 34 116 60"
        end
        frame "Glue only the last edge, and hold it." do
          area "M40 26 Q80 10 104 40 L92 106 Z"
          ellipse 72, 30, 33, 12, :first_shade, turned: 12
          bead "M100 46 L92 100"
          fingers 94, 76, 0
        end
        frame "Pinch the foot flat: it is glued on there." do
          area "M40 24 Q78 8 108 28 L86 92 L92 108 L64 108 L68 92 Z"
          ellipse 74, 24, 34, 11, :first_shade
          fingers 78, 102, 0
        end
      end
    end
  end
end
