# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Tied round the form as a shoe is.
        class Shoelace < Making
          making :shoelace, title: "Tied like a shoelace",
            usual: [{as: :ribbon, tail: 5, loops: 2, loop_size: 3}], move: :shoelace,
            tied: :own, fixed: [], bow: {tail: 5, loops: 2, loop_size: 3}, two_sided: true

          # What the knot takes, in widths of ribbon (from memory: tie one and measure).
          KNOT_WIDTHS = 4

          def hands
            ["Round the #{@piece.beneath ? "middle of what it sits on" : "band"}, a half knot in front, then two " \
              "loops tied as on a shoe; pull the good side out."]
          end

          # What goes round the band, and its knot. Through the middle of another thing it goes as its tails do.
          def more_of(ribbon) = (ribbon.nil? || @piece.beneath) ? [] : [tied(ribbon, @piece.girth)]

          # Its knot alone: what a bow takes that is tied through another thing.
          # @return [Part::More]
          def knot(ribbon) = tied(ribbon)

          def round_band? = true

          private

          def tied(ribbon, round = nil)
            width = width_of(ribbon)
            length = KNOT_WIDTHS * width + (round || 0)
            Part::More.new(length:, sum: [*(bare(round) if round), "#{KNOT_WIDTHS} × #{bare(width)}"].join(" + "),
              told: "#{text(length)} #{"round the band and " if round}for the knot")
          end
        end
      end
    end
  end
end
