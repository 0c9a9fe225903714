# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Stems of picks overlapped and tied.
        class Swag < Making
          making :swag, title: "Swag, stems overlapped", called: "swag", usual: [{as: :item, count: 2}], move: :swag,
            look: "Do the stems hold together when you lift it by one end?",
            tied: :none,
            fixed: [{with: :tie}, {with: :wire, count: 3}], pinched: false, stems: true

          def hands
            ["Lay the first two with their stems overlapped, heads outward; the next over their stems, and so on. " \
              "Bend them all to the curve of the form."]
          end

          def crosswise? = true
        end
      end
    end
  end
end
