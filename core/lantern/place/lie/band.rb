# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A turn of flat strip: an item is its corners, in order round it.
      class Band < Lie
        lie :band
        looks(order: :kept) { area edge: 0.036, grain: true }
      end
    end
  end
end
