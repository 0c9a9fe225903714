# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A knotted strip: an item is the place of the knot and the ends of its two tails, `width` wide.
      class Knot < Lie
        lie :knot
        looks(order: :any) do
          area Tail::OUTLINE, frame: :ends, edge: 0.1
          line Tail::FOLD, frame: :ends, width: 0.1, opacity: 0.35, near: true
          area oval(1), frame: :round, edge: 0.1
        end

        # Knot and tails bunch: each hides what lies within half its width (common practice).
        def patches(points)
          place, *tails = points
          [place, *tails].map { |to| Stroke.new(from: place, to:, half: width / 2) }
        end
      end
    end
  end
end
