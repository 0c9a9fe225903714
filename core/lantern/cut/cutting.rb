# frozen_string_literal: true

module Lantern
  module Cut
    # How one material is cut. `bars` are the lengths (or sheets) opened, in the order they are
    # opened; `bought` counts packages by offer, those that stay closed among them; `untouched` are
    # lengths (of cloth, sheets as `[width, length]`) in hand that stay whole.
    #
    # `optimal` is true when least money and, at that, fewest packages are proven; otherwise `bound`
    # is the least money that can be proven, and the truth lies between.
    # `short` is what no stock could give, in inches.
    Cutting = Value.define(:material, :demand, :bars, :bought, :optimal, :bound, :short, :untouched)

    class Cutting
      # Lengths left over that are worth keeping, longest first; of what is counted, numbers.
      # @return [Array<Numeric>]
      def remnants(smallest) = (bars.map(&:left) + untouched).select { _1 >= smallest && _1.positive? }.sort.reverse

      # Pieces of cloth left over that are worth keeping, sheets that stay whole among them.
      # @return [Array<(Numeric, Numeric)>] width and length
      def cloth_left(smallest) = bars.flat_map { _1.kept(smallest) } + untouched

      def joins = [bars.count { |bar| bar.cuts.any?(&:run?) } - 1, 0].max

      def packages = bought.values.sum

      # How many bytes it takes, about (from memory).
      def bytes = 5_000 + 400 * bars.sum { _1.cuts.size + 1 }

      def closed = packages - bars.count { _1.source == :offer }

      # What is cut, from what is bought for more: the packages that are bought besides stay closed. Where others are
      # bought instead, it is cut from those.
      # @param sure [Cutting] of more pieces
      # @return [Cutting]
      def with_packages_of(sure)
        more = sure.bought.to_h { |offer, count| [offer, count - bought.fetch(offer, 0)] }
        return sure.without_reserve(demand) if more.values.any?(&:negative?) || (bought.keys - sure.bought.keys).any?
        closed = more.flat_map { |offer, count| [uncut(:offer, offer)] * count }
        with(bought: sure.bought, untouched: untouched + closed, optimal: sure.optimal, bound: sure.bound)
      end

      # The same without what is only in reserve: each length gives it back.
      # @param demand [Demand] what is really asked for
      # @return [Cutting]
      def without_reserve(demand)
        asked = demand.pieces.to_h { |piece| [[piece.what, piece.length], piece.count] }
        kept = bars.map { |bar| bar.giving_back(wide(bar)) { |cut| cut.run? ? 0 : over(cut, asked) } }
        opened, whole = kept.partition { _1.cuts.any? }
        with(demand:, bars: opened, untouched: untouched + whole.map { uncut(_1.source, _1.index) })
      end

      # How many more like a piece what is left would give.
      # @param piece [Demand::Piece]
      # @return [Integer]
      def room_for(piece)
        return (bars.sum(&:left) + untouched.sum).to_i if material.counted?
        return (bars.map(&:left) + untouched).sum { (_1 / piece.length).floor } unless material.sheets?
        (bars.flat_map(&:rest) + untouched).sum { |width, length|
          [[piece.width, piece.length], [piece.length, piece.width]].map { |across, along|
            (width / across).floor * (length / along).floor
          }.max
        }
      end

      # How long the runs may become before what is in hand no longer holds them: what the bars give to them
      # and have left, and whatever stays whole, each join paid for and nothing shorter than may be joined in.
      # @return [Float] inches
      def run_room
        return 0.0 if demand.run.zero?
        rooms = bars.map { |bar| bar.left + bar.cuts.select(&:run?).sum(&:length) } + untouched
        usable = rooms.select { _1 >= demand.least }
        usable.empty? ? 0.0 : (usable.sum - (usable.size - 1) * demand.join).to_f
      end

      private

      # A length, a sheet as both its sides, or a number, as it was before anything was cut.
      def uncut(source, index)
        of = (source == :offer) ? material.offers[index] : material.on_hand[index]
        return of unless of.is_a?(Hash)
        material.sheets? ? of.values_at(:width, :length) : of[:length] || of[:count]
      end

      def wide(bar) = material.sheets? ? uncut(bar.source, bar.index).first : 1

      # How many of these are more than is asked for, when as many have been cut.
      def over(cut, asked)
        left = asked.fetch([cut.what, cut.length], 0)
        asked[[cut.what, cut.length]] = [left - cut.count, 0].max
        [cut.count - left, 0].max
      end
    end
  end
end
