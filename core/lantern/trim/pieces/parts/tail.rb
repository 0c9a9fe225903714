# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A strip of its own that is folded in the middle: two tails.
        class Tail < Part
          part :tail, title: "Tails of their own", unit: :tails, measures: {length: 12}, optional: [:gap]

          # Folded in the middle, its halves lie so far apart; a few degrees where nothing is said (from memory).
          APART = 0.35

          def self.of_bow(bow) = {as: :tail, length: 2 * bow.tail}

          def told
            apart = ", its halves #{text(gap)} apart" if gap&.positive?
            "a strip of #{text(cut)} folded in the middle#{apart}"
          end

          def lies(_turn)
            half = length.to_f / 2
            aside = gap ? Math.asin([(gap / 2 / half).to_f, 0.95].min) + 0.05 : APART
            [[Place::Lie::Tail, (0...count).flat_map { |i|
              [[DOWN - aside - i * 0.2, half], [DOWN + aside + i * 0.2, half]]
            }]]
          end
        end
      end
    end
  end
end
