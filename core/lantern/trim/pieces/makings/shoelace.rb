# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Tied round the form as a shoe is.
        class Shoelace < Making
          making :shoelace, title: "Tied like a shoelace",
            usual: [{as: :ribbon, tail: 5, loops: 2, loop_size: 3}], move: :shoelace,
            tied: :own, fixed: []

          # What the knot takes, in widths of ribbon (from memory: tie one and measure).
          KNOT_WIDTHS = 4

          def hands
            ["Round the #{@piece.beneath ? "middle of what it sits on" : "band"}, a half knot in front, then two " \
              "loops tied as on a shoe; pull the good side out."]
          end

          # The middle of what it sits on is bunched, and takes no more than its knot.
          def tied_round(ribbon)
            return 0 if @piece.beneath || ribbon.nil?
            @piece.form.girth.round(4).to_r + KNOT_WIDTHS * (ribbon.width || ribbon.diameter || Piece::CLOTH)
          end

          def round_band? = true
        end
      end
    end
  end
end
