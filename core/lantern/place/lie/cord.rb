# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # Rope or cord: an item is its centre line, as thick as `width`.
      class Cord < Lie
        lie :cord

        def patches(points) = points.each_cons(2).map { |from, to| Stroke.new(from:, to:, half: width / 2) }

        def thick = width
      end
    end
  end
end
