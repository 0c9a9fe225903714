# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A loop: an item is its foot and its tip, `width` wide. It is full at its tip, with a hollow away from the light
      # where its inside is seen, and folds at the pinch.
      class Loop < Lie
        lie :loop
        looks(order: :any, slender: 0.6) do
          area "M0 0 C.25 -.5 .55 -1 .8 -.95 C1.06 -.7 1.06 .7 .8 .95 C.55 1 .25 .5 0 0 Z", frame: :ends, edge: 0.06
          area "M.3 .34 C.55 .86 .8 .98 .93 .52 C.8 .5 .55 .42 .3 .34 Z", frame: :ends, paint: :ink, opacity: 0.42,
            side: :away, near: true
          line "M.06 0 L.34 .3 M.06 0 L.3 0", frame: :ends, width: 0.07, opacity: 0.5, side: :lit, near: true
          line "M.3 .5 Q.6 .82 .84 .62", frame: :ends, paint: :light, width: 0.14, opacity: 0.35, side: :lit, near: true
        end

        # It stands up and falls to either side: nothing shows of what it stands over, all along as wide as it is
        # (common practice).
        def patches(points) = [Stroke.new(from: points[0], to: points[1], half: width / 2)]
      end
    end
  end
end
