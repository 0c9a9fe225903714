# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # Something round that was bought: an item is its middle, `width` across.
      class Ball < Lie
        lie :ball
        looks(order: :any) do
          area oval(1), frame: :round, edge: 0.06
          area oval(0.28, 0.2, out: 0.5, turned: -35), frame: :round, paint: :light, opacity: 0.55, near: true
        end

        # It hides all that it lies over.
        def patches(points) = [Stroke.new(from: points[0], to: points[0], half: width / 2)]
      end
    end
  end
end
