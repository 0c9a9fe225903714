# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A piece of cloth: an item is its corners.
      class Panel < Lie
        lie :panel

        def patches(points) = [Polygon.new(corners: points)]
      end
    end
  end
end
