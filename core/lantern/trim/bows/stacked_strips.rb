# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Strips folded in half and pinched together: loops to one side, tails to the other.
      class StackedStrips < Kind
        # Four, or three, of 18 in (common practice).
        kind :stacked_strips, title: "Stacked strips",
          usual: {tail: 0, loops: 2, loop_size: 4, strips: 4, strip_length: 18}, two_sided: true

        def parts = [Part.new(unit: :bow_strips, length: bow.strip_length, count: bow.strips)]

        def working = [["Strips", "#{bow.strips} × #{bow.number(bow.strip_length)}", bow.strips * bow.strip_length]]

        # Folded in half and pinched half-way along: a loop above, two ends below, each a quarter long.
        def loops = fan(bow.strips, -down, quarter)

        def tails = fan(2 * bow.strips, down, quarter)

        def width = 2 * quarter

        def told = "#{bow.strips} strips of #{bow.measured(bow.strip_length)}"

        def says = "Fold each strip in half, lay one on the other a little askew, pinch them all in the middle and tie."

        def move = :stacked_strips

        private

        def quarter = bow.strip_length.to_f / 4
      end
    end
  end
end
