# frozen_string_literal: true

module Lantern
  module Cut
    # What cutting a material does to the stash: packages bought, lengths taken, remnants kept. Sizes are
    # inches; of what is counted, numbers. `kind` is `:bought`, `:cut` or `:remnant`.
    Move = Value.define(:material, :kind, :length, :width, :end_width, :change)

    class Move
      class << self
        # @param cutting [Cutting]
        # @param smallest [Numeric] what is shorter is a scrap
        # @return [Array<Move>]
        def of(cutting, smallest)
          return counted(cutting) if cutting.material.counted?
          bought = cutting.bought.map { |offer, count| move(cutting, :bought, cutting.material.offers[offer], count) }
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

        # What is left of a length or a sheet and is worth keeping.
        def remnants(bar, cutting, smallest)
          sizes = if cutting.material.sheets?
            bar.kept(smallest).map { |width, length| {width:, length:} }
          else
            [{length: bar.left}].select { _1[:length] >= smallest && _1[:length].positive? }
          end
          sizes.map { move(cutting, :remnant, _1, 1) }
        end

        # The piece on hand or the package that a bar is.
        def source(cutting, bar)
          from = (bar.source == :on_hand) ? cutting.material.on_hand[bar.index] : cutting.material.offers[bar.index]
          from.is_a?(Hash) ? from : {length: from}
        end

        def move(cutting, kind, size, change)
          width = cutting.material.sheets? ? size[:width] : nil
          new(material: cutting.material.id, kind:, length: size[:length] || 0, width: width || 0,
            end_width: size[:end_width] || 0, change:)
        end
      end
    end
  end
end
