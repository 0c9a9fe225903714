# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # A strip whose ends are crossed, folded to a bow and tied with a cord.
        class Crossed < Making
          making :crossed, title: "Ends crossed, tied with a cord",
            usual: [{as: :ribbon, tail: 6, loops: 2, loop_size: 3}],
            move: :crossed, tied: :own

          def hands
            tail = parts.filter_map(&:tail).max || 0
            ["Mark #{text(tail)} from each end. Cross the ends at the marks, bring the middle down on the crossing, " \
              "fold in half and fold the sides back.", *layers, "The cord round the middle, a double knot behind."]
          end
        end
      end
    end
  end
end
