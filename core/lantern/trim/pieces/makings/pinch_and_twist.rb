# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Loop after loop gathered in the fingers, half a twist at every pinch.
        class PinchAndTwist < Making
          # Tails of 6 in and two 4 in loops a side: 44 in (common practice).
          making :pinch_and_twist, title: "Pinch and twist", bow: {tail: 6, loops: 4, loop_size: 4}

          def hands
            ["#{(parts.size > 1) ? "Of each ribbon: pinch" : "Pinch"} after the tail, good side up; give it half a " \
              "twist, good side down on the table, so that the loop shows it outside; loop to one side, pinch, " \
              "twist, loop to the other.", *layers]
          end
        end
      end
    end
  end
end
