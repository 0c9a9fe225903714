# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # Cloth or mesh rolled to a tube: an item is one half of it, from the pinch to its open end, `width` wide. It is
      # narrow at the pinch, and its end is seen into.
      class Tube < Lie
        lie :tube
        looks(order: :any, slender: 0.5) do
          area "M0 -.35 C.2 -.9 .5 -1 1 -1 C1+.35w -1 1+.35w 1 1 1 C.5 1 .2 .9 0 .35 Z", frame: :ends, edge: 0.08
          area "M1 -1 C1+.35w -1 1+.35w 1 1 1 C1-.35w 1 1-.35w -1 1 -1 Z", frame: :ends, paint: :ink, opacity: 0.35,
            near: true
          line "M.15 -.3 C.4 -.45 .7 -.4 .92 -.45", frame: :ends, paint: :light, width: 0.16, opacity: 0.4, side: :lit,
            near: true
        end

        # All along as wide as it is (common practice).
        def patches(points) = [Stroke.new(from: points[0], to: points[1], half: width / 2)]
      end
    end
  end
end
