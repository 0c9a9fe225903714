# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A knotted strip: an item is the place of the knot and the ends of its two tails, `width` wide.
      class Knot < Lie
        lie :knot

        def patches(points)
          place, *tails = points
          [place, *tails].map { |to| Stroke.new(from: place, to:, half: width / 2) }
        end
      end
    end
  end
end
