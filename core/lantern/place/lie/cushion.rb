# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A loop that is held at both ends and stands up between them: an item is its corners, in order round it from one
      # tie by the other. It is gathered at both ties, and full between them.
      class Cushion < Lie
        lie :cushion
        looks(order: :any) do
          area edge: 0.06
          line "M0 1 L.1086 .4904 M0 1 L0 .38 M0 1 L-.1086 .4904 M.5 1 L.6086 .4904 M.5 1 L.5 .38 M.5 1 L.3914 .4904",
            frame: :hull, width: 0.05, opacity: 0.4, near: true
          line "M-.2 .8 L-.15 .8 L-.1 .8 L-.05 .8 L0 .8 L.05 .8 L.1 .8 L.15 .8 L.2 .8", frame: :hull, side: :lit,
            paint: :light, width: 0.1, opacity: 0.4, near: true
        end
      end
    end
  end
end
