# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A turn of a strip that was bunched in the hand: an item is its corners, in order round it; it lies in folds.
      class Gathered < Band
        lie :gathered
      end
    end
  end
end
