# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # One loop, its ends crossed: the ribbon that is worn for a cause.
        class Awareness < Making
          making :awareness, title: "One crossed loop",
            usual: [{as: :ribbon, tail: 3, loops: 1, loop_size: 3}], move: :one_loop,
            tied: :glue, bow: {tail: 3, loops: 1, loop_size: 3}

          # Whatever its plan says, it is one loop.
          def self.parts_of(bow) = super.map { _1.merge(loops: 1) }

          def hands = ["Lay one loop, cross its ends below it, and glue where they cross."]

          def gathered? = false

          # From end to end: its loop is narrower.
          def wide(_loops, tails) = tails.map { |way, far| 2 * far * Math.cos(way).abs }.max || 0.0
        end
      end
    end
  end
end
