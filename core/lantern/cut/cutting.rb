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

      # How long the runs may become before what is in hand no longer holds them: what the bars give to them
      # and have left, and whatever stays whole, each join paid for and nothing shorter than may be joined in.
      # @return [Float] inches
      def run_room
        return 0.0 if demand.run.zero?
        rooms = bars.map { |bar| bar.left + bar.cuts.select(&:run?).sum(&:length) } + untouched
        usable = rooms.select { _1 >= demand.least }
        usable.empty? ? 0.0 : (usable.sum - (usable.size - 1) * demand.join).to_f
      end
    end
  end
end
