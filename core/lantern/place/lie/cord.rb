# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # Rope or cord: an item is its centre line, as thick as `width`.
      class Cord < Lie
        lie :cord
        looks(round: true) do
          area "M0 -1 L1 -1 A1 1 L0 1 A0 -1 Z", frame: :legs, edge: 0.12
        end

        # The same as its mark hides, quicker.
        def patches(points) = points.each_cons(2).map { |from, to| Stroke.new(from:, to:, half: width / 2) }

        def thick = width
      end
    end
  end
end
