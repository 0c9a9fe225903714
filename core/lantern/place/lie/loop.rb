# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A loop: an item is its foot and its tip, `width` wide.
      class Loop < Lie
        lie :loop

        def patches(points) = [Stroke.new(from: points[0], to: points[1], half: width / 2)]
      end
    end
  end
end
