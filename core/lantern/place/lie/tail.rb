# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A tail of ribbon: an item is where it leaves the pinch and the middle of its end, `width` wide. It leaves half
      # as wide, falls in a slight wave, and has a dovetail cut in its end as deep as eight tenths of half the width
      # (from memory).
      class Tail < Lie
        OUTLINE = "M0 -.5 C.35 -1.15 .65 -.85 1 -1 L1-.8w 0 L1 1 C.65 1.15 .35 .85 0 .5 Z"
        FOLD = "M.4w 0 Q.3 .35 .55 .1"

        lie :tail
        looks(order: :any) do
          area OUTLINE, frame: :ends, edge: 0.1
          line FOLD, frame: :ends, width: 0.1, opacity: 0.35, near: true
        end
      end
    end
  end
end
