# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Two loops tied by hand, one over the other.
        class TwoLoop < Making
          making :two_loop, title: "Hand-tied, two loops", usual: [{as: :ribbon, tail: 6, loops: 2, loop_size: 3}],
            # Four stretches of 6 in: two tails and two loops of 3 in laid flat, 24 in (common practice).
            move: :two_loops, tied: :own, bow: {tail: 6, loops: 2, loop_size: 3}, two_sided: true

          def hands
            ["Tail, pinch, loop, pinch, loop, and pinch to the middle; tuck one loop under the other and pull until " \
            "both are alike.", *layers]
          end
        end
      end
    end
  end
end
