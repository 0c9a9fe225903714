# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A bloom: an item is its middle, `width` across.
      class Disc < Lie
        # Five petals (from memory), each an ellipse so wide and so long, its middle so far out.
        PETALS, WIDE, LONG, OUT = 5, 0.38, 0.44, 0.52

        lie :disc
        looks(order: :any, turn: 25) do
          area oval(1), frame: :round, opacity: 0.35, edge: 0.05
          petals = (0...PETALS).map { oval(WIDE, LONG, out: OUT, turned: 360 * _1 / PETALS) }
          area petals.join(" "), frame: :round, edge: 0.05
          area oval(0.2), frame: :round, paint: :accent, near: true
        end

        # What is fixed on hides all that it lies over, between its petals too.
        def patches(points) = [Stroke.new(from: points[0], to: points[0], half: width / 2)]
      end
    end
  end
end
