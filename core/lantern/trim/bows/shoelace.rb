# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Tied round the form as a shoe is.
      class Shoelace < Kind
        kind :shoelace, title: "Tied like a shoelace", usual: {tail: 5, loops: 2, loop_size: 3}, two_sided: true

        # What the knot takes, in widths of ribbon (from memory: tie one and measure).
        KNOT_WIDTHS = 4

        def parts = [Part.new(unit: :bow_ribbons, length: whole(centre:), count: 1)]

        def working = whole_working(centre:, centre_says: bow.beneath ? "The knot" : "Round the band, and the knot")

        def says = "Round the #{bow.beneath ? "middle of what it sits on" : "band"}, a half knot in front, then two " \
          "loops tied as on a shoe; pull the good side out."

        def move = :shoelace

        def round_band? = true

        private

        def centre = (bow.beneath ? 0 : bow.form.girth.round(4).to_r) + KNOT_WIDTHS * bow.width
      end
    end
  end
end
