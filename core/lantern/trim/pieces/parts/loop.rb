# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A loop by itself, as one in the centre of a bow.
        class Loop < Part
          part :loop, title: "Loop", unit: :loops, measures: {loop_size: 2}

          def length = 2 * loop_size

          def sum = "2 × #{bare(loop_size)}"

          def told = "a loop of #{text(loop_size)} laid flat: #{text(cut)}"

          def lies(_turn) = [[Place::Lie::Loop, fan(count, -DOWN, loop_size.to_f * OPENED)]]
        end
      end
    end
  end
end
