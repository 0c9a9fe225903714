# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # One loop, its ends crossed: the ribbon that is worn for a cause.
      class Awareness < Kind
        kind :awareness, title: "One crossed loop", usual: {tail: 3, loops: 1, loop_size: 3}

        def parts = [Part.new(unit: :bow_ribbons, length: 2 * bow.tail + 2 * bow.loop_size, count: 1)]

        def working = [["Both ends", "2 × #{bow.number(bow.tail)}", 2 * bow.tail],
          ["The loop, laid flat", "2 × #{bow.number(bow.loop_size)}", 2 * bow.loop_size]]

        def loops = [[-down, bow.loop_size.to_f * OPENED]]

        def width = 2 * bow.tail.to_f * Math.sin(0.35)

        def says = "Lay one loop, cross its ends below it, and glue where they cross."

        def move = :one_loop
      end
    end
  end
end
