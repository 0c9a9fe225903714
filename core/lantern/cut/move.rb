# frozen_string_literal: true

module Lantern
  module Cut
    # What cutting a plan does to the stash: packages bought, lengths taken, remnants kept. Sizes are
    # inches; of what is counted, numbers.
    Move = Value.define(:material, :kind, :length, :width, :end_width, :change)

    class Move
      class << self
        # @param document [Hash] a plan document
        # @return [Array<Move>] of kind `:bought`, `:cut` and `:remnant`
        # @raise [Plan::Refused]
        def all(document)
          plan = Plan::Document.read(document)
          Cut.work(plan, Cover.work(plan, plan.band)).reject { _1.demand.none? }.flat_map { of(_1, plan.smallest_remnant) }
        end

        # @param smallest [Numeric] what is shorter is a scrap
        # @return [Array<Move>] what one material's cutting does
        def of(cutting, smallest)
          return counted(cutting) if cutting.material.counted?
          bought = cutting.bought.flat_map { |offer, count| [move(cutting, :bought, cutting.material.offers[offer], count)] }
          taken = cutting.bars.map { |bar| move(cutting, :cut, source(cutting, bar), -1) }
          kept = cutting.bars.flat_map { |bar| remnants(bar, cutting, smallest) }
          bought + taken + kept
        end

        private

        def counted(cutting)
          bought = cutting.bought.sum { |offer, count| cutting.material.offers[offer][:count] * count }
          taken = cutting.bars.sum { |bar| bar.cuts.sum(&:count) }
          [*(move(cutting, :bought, {}, bought) if bought.positive?), move(cutting, :cut, {}, -taken)]
        end

        # What is left of a length or a sheet and is worth keeping; of a sheet, pieces that are long enough both ways.
        def remnants(bar, cutting, smallest)
          sizes = cutting.material.sheets? ? bar.rest.map { |width, length| {width:, length:} } : [{length: bar.left}]
          sizes.select { |size| size.values.all? { _1 >= smallest && _1.positive? } }.map { move(cutting, :remnant, _1, 1) }
        end

        # The piece on hand or the package that a bar is.
        def source(cutting, bar)
          from = (bar.source == :on_hand) ? cutting.material.on_hand[bar.index] : cutting.material.offers[bar.index]
          from.is_a?(Hash) ? from : {length: from}
        end

        def move(cutting, kind, size, change) = new(material: cutting.material.id, kind:, length: size[:length] || 0, width: (size[:width] if cutting.material.sheets?) || 0, end_width: size[:end_width] || 0, change:)
      end
    end
  end
end
