# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Parts laid crosswise, squeezed and tied.
        class Bundle < Making
          making :bundle, title: "Bundle, tied in the middle", called: "bundle", usual: [{as: :curl, count: 3}],
            move: :bundle, look: "Do its ends stand out to all sides, and does nothing slip out?"

          def hands
            ["Lay them on one another crosswise, each over the middle of the last, and squeeze the middle together."]
          end

          def crosswise? = true
        end
      end
    end
  end
end
