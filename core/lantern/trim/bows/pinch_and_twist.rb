# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Loop after loop gathered in the fingers, the ribbon twisted at every pinch so that its good side
      # stays out.
      class PinchAndTwist < Kind
        # Tails of 6 in and two 4 in loops a side: 44 in (common practice).
        kind :pinch_and_twist, title: "Pinch and twist", usual: {tail: 6, loops: 4, loop_size: 4}

        def parts = [Part.new(unit: :bow_ribbons, length: whole, count: 1)]

        def working = whole_working

        def loops = super + (bow.centre_loop ? [[-down, bow.centre_loop.to_f * OPENED]] : [])

        def says = "Pinch after the first tail, make a loop, pinch again and give the ribbon half a twist so that " \
          "its good side stays out; a loop to each side in " \
          "turn#{", a small one in the centre last" if bow.centre_loop}."
      end
    end
  end
end
