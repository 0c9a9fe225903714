# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A turn of a strip that was bunched in the hand: an item is its corners, in order round it; it lies in folds.
      class Gathered < Lie
        lie :gathered
        looks(order: :kept) do
          area edge: 0.036, grain: true
          line frame: :strip, along: [0.2, 0.4, 0.62, 0.82], width: 0.036, opacity: 0.4, near: true
        end
      end
    end
  end
end
