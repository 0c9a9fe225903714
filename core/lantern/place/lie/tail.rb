# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A tail of ribbon: an item is where it leaves the pinch and the middle of its end, `width` wide, with a dovetail
      # cut in its end.
      class Tail < Lie
        lie :tail

        # How wide it is where it leaves the pinch, against its width (from memory).
        NECK = 0.5
        # A dovetail is cut in as deep as eight tenths of half the width (from memory).
        DOVETAIL = 0.8

        def patches(points)
          from, to = points
          length = Math.hypot(to[0] - from[0], to[1] - from[1])
          return [] if length < 1e-9
          along = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
          half = width / 2
          corners = [[0, -half * NECK], [length, -half], [length - half * DOVETAIL, 0], [length, half],
            [0, half * NECK]]
          [Polygon.new(corners: corners.map { |u, v|
            [from[0] + u * along[0] - v * along[1], from[1] + u * along[1] + v * along[0]]
          })]
        end
      end
    end
  end
end
