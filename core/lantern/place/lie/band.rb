# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A turn of flat strip: an item is its corners, in order round it.
      class Band < Lie
        lie :band

        def patches(points) = [Polygon.new(corners: points)]
      end
    end
  end
end
