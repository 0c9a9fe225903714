# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A board, as of a sign: an item is its four corners.
      class Board < Lie
        lie :board
        looks(order: :any) do
          area edge: 0.08
          line "M0 1 L.25 1 L.5 1 L.75 1 L1 1", frame: :hull, width: 0.04, opacity: 0.3, near: true
        end
      end
    end
  end
end
