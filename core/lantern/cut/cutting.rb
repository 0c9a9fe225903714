# frozen_string_literal: true

module Lantern
  module Cut
    # How one material is cut. `bars` are the lengths (or sheets) opened, in the order they are
    # opened; `bought` counts packages by offer, those that stay closed among them; `untouched` are
    # lengths in hand that stay whole.
    #
    # `optimal` is true when least money and, at that, fewest packages are proven; otherwise `bound`
    # is the least money that can be proven, and the truth lies between.
    # `short` is what no stock could give, in inches.
    Cutting = Value.define(:material, :demand, :bars, :bought, :optimal, :bound, :short, :untouched) do
      # @return [Array<Numeric>] lengths left over that are worth keeping, longest first
      def remnants(smallest) = (bars.map(&:left) + untouched).select { _1 >= smallest && _1.positive? }.sort.reverse

      def joins = [bars.count { |bar| bar.cuts.any?(&:run?) } - 1, 0].max
    end
  end
end
