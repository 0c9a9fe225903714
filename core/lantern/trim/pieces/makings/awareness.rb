# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # One loop, its ends crossed.
        class Awareness < Making
          making :awareness, title: "One crossed loop",
            usual: [{as: :ribbon, tail: 3, loops: 1, loop_size: 3}], move: :one_loop,
            tied: :glue

          def hands = ["Lay one loop, cross its ends below it, and glue where they cross."]
        end
      end
    end
  end
end
