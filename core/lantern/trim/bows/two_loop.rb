# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Two loops tied by hand, one over the other.
      class TwoLoop < Kind
        # Four stretches of 6 in: two tails and two loops of 3 in laid flat, 24 in (common practice).
        kind :two_loop, title: "Hand-tied, two loops", usual: {tail: 6, loops: 2, loop_size: 3}, two_sided: true

        def parts = [Part.new(unit: :bow_ribbons, length: whole, count: 1)]

        def working = whole_working

        def says = "Make two loops, cross them, tuck one under the other and pull until both are alike."

        def move = :two_loops
      end
    end
  end
end
