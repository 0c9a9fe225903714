# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A strip of cloth or mesh that rolls up by itself, or is curled over a blade.
        class Curl < Part
          part :curl, title: "Curl", unit: :curls, measures: {length: 10}, optional: [:width], move: :curl

          # Curled, it is so much of its length (from memory).
          DRAWN_IN = 0.6

          def seen_as(_kind) = :curl_ends

          def told = "a curl #{text(cut)} long#{", #{text(width)} wide" if width}"

          def lies(turn)
            [[Place::Lie::Curl, (0...count).flat_map { across_it(turn + _1 * 0.6, length.to_f * DRAWN_IN) }]]
          end
        end
      end
    end
  end
end
