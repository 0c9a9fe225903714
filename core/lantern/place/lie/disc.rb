# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A bloom: an item is its middle, `width` across.
      class Disc < Lie
        lie :disc

        def patches(points) = [Stroke.new(from: points[0], to: points[0], half: width / 2)]
      end
    end
  end
end
