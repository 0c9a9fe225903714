# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A piece of cloth: an item is its corners.
      class Panel < Lie
        lie :panel
        looks(order: :any) { area edge: 0.06 }
      end
    end
  end
end
