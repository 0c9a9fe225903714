# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # A ribbon folded many times to and fro and tied in the middle.
        class FoldedMany < Making
          making :folded_many, title: "Folded many times", usual: [{as: :fold}, {as: :tail, length: 12}],
            move: :folded_many, bow: {tail: 6, loops: 8, loop_size: 4}, wired: true

          def hands
            ["Fold to and fro, all loops alike; tie it tight in the middle with the tails under it, and pull the " \
              "loops out one by one."]
          end
        end
      end
    end
  end
end
