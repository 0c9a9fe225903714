# frozen_string_literal: true

module Lantern
  module Cost
    # The money and the chances of one material.
    class Entry
      attr_reader :cutting

      # @param cutting [Cut::Cutting]
      # @param plan [#smallest_remnant] a plan or an occasion
      def initialize(cutting, plan)
        @cutting = cutting
        @plan = plan
      end

      def material = cutting.material

      def needed? = !cutting.demand.none?

      # Packages to buy, by offer: how many, and what they come to.
      def buy
        cutting.bought.sort.map { |offer, count| {offer:, count:, cost: material.offers[offer][:price] * count} }
      end

      # @return [BigDecimal]
      def to_buy = @to_buy ||= buy.sum(BigDecimal(0)) { _1[:cost] }

      # What goes into the work: inches cut, joins and all; of cloth, square inches; else a number.
      # @return [Numeric]
      def amount_used = cutting.bars.sum { amount_of(_1) }

      # By the amount used, each at the price of the package it came from; what was on hand at the cheapest
      # price it is sold for.
      # @return [BigDecimal]
      def used = @used ||= cutting.bars.sum(BigDecimal(0)) { |bar| money(rate_of_bar(bar) * amount_of(bar).to_r) }

      # What is left and worth keeping, all at the cheapest price it is sold for.
      # @return [BigDecimal]
      def left = @left ||= money(cheapest_rate * amount_left.to_r)

      # What of the stash is cut into, at the cheapest price it is sold for.
      # @return [BigDecimal]
      def from_stash = @from_stash ||= money(cheapest_rate * opened.sum { |index| amount_held(index) }.to_r)

      # What is left of what was bought or cut into, and worth keeping.
      # @return [BigDecimal]
      def left_over
        whole = (material.on_hand.each_index.to_a - opened).map { amount_held(_1, kept: true) }
        left - money(cheapest_rate * whole.sum.to_r)
      end

      # Lengths left and worth keeping; of what is counted, every one; of cloth, the longer side of each piece.
      # @return [Array<Numeric>] the longest first
      def remnants
        return cloth_left.map(&:max).sort.reverse if material.sheets?
        cutting.remnants(material.counted? ? 1 : @plan.smallest_remnant)
      end

      # @return [Float] the chance that what is in hand and bought is enough
      def chance_enough = @chance_enough ||= chance

      private

      def chance
        return 0.0 if cutting.short.positive?
        [of_runs, *cutting.demand.pieces.select { _1.spread.positive? }.map { of_pieces(_1) }].min.round(3)
      end

      def of_runs
        demand = cutting.demand
        Measure::Chance.enough(cutting.run_room, mean: demand.run.to_f, spread: demand.spread, freedom: demand.freedom)
      end

      # Of pieces whose number is an estimate: what is left gives more of them.
      def of_pieces(piece)
        Measure::Chance.enough(piece.count + cutting.room_for(piece), mean: piece.sum.to_f, spread: piece.doubt.to_f)
      end

      def amount_of(bar)
        return bar.length - bar.left unless material.sheets?
        bar.cuts.sum { _1.count * _1.length * _1.width }
      end

      # The places in the stash of what is cut into.
      def opened = @opened ||= cutting.bars.select { _1.source == :on_hand }.map(&:index).uniq

      # How much one length, sheet or number in the stash is; with `kept`, nothing of what is not worth keeping.
      def amount_held(index, kept: false)
        held = material.on_hand[index]
        sides = held.is_a?(Hash) ? held.values_at(:width, :length) : [held]
        least = material.counted? ? 1 : @plan.smallest_remnant
        (kept && sides.max < least) ? 0 : sides.reduce(:*)
      end

      def amount_left
        material.sheets? ? cloth_left.sum { |width, length| width * length } : remnants.sum
      end

      def cloth_left = cutting.cloth_left(@plan.smallest_remnant)

      def rate_of_bar(bar) = (bar.source == :offer) ? rate_of(material.offers[bar.index]) : cheapest_rate

      # Price of an inch, of a square inch of cloth, of one of what is counted; exactly.
      def rate_of(offer) = offer[:price].to_r / (offer[:count] || offer[:length] * (offer[:width] || 1))

      def cheapest_rate = @cheapest_rate ||= material.offers.map { rate_of(_1) }.min || 0r

      def money(rational) = BigDecimal(rational.numerator) / rational.denominator
    end
  end
end
