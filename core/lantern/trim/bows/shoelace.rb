# frozen_string_literal: true

module Lantern
  module Trim
    module Bows
      # Tied round the form as a shoe is.
      class Shoelace < Kind
        kind :shoelace, title: "Tied like a shoelace", usual: {tail: 5, loops: 2, loop_size: 3}, two_sided: true

        def parts = [Part.new(unit: :bow_ribbons, length: whole(centre:), count: 1)]

        def working = whole_working(centre:, centre_says: bow.beneath ? "The knot" : "Round the band, and the knot")

        # As a piece that is made so is told.
        def says = making.hands.first

        def move = :shoelace

        def round_band? = true

        private

        def making = Pieces::Makings::Shoelace.new(bow)

        def centre = (bow.beneath ? 0 : bow.form.girth.round(4).to_r) + making.class::KNOT_WIDTHS * bow.width
      end
    end
  end
end
