# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Loop after loop gathered in the fingers, half a twist at every pinch.
        class PinchAndTwist < Making
          making :pinch_and_twist, title: "Pinch and twist"

          def hands
            ["Of each ribbon: pinch after the tail, good side up; give it half a twist, good side down on the table, " \
              "so that " \
              "the loop shows it outside; loop to one side, pinch, twist, loop to the other.", *layers]
          end
        end
      end
    end
  end
end
