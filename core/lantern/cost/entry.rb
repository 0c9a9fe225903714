# frozen_string_literal: true

module Lantern
  module Cost
    # The money and the chances of one material.
    class Entry
      attr_reader :cutting

      # @param cutting [Cut::Cutting]
      def initialize(cutting, plan)
        @cutting = cutting
        @plan = plan
      end

      def material = cutting.material

      # Packages to buy, by offer: how many, and what they come to.
      def buy
        cutting.bought.sort.map { |offer, count| {offer:, count:, cost: material.offers[offer][:price] * count} }
      end

      def to_buy = @to_buy ||= buy.sum(BigDecimal(0)) { _1[:cost] }

      # Inches cut, joins and all; for cloth, of sheet.
      def length_used = cutting.bars.sum { |bar| bar.length - bar.left }

      # By the length used, each at the price of the package it came from; what was on hand at the
      # cheapest price it is sold for.
      def used = @used ||= cutting.bars.sum(BigDecimal(0)) { |bar| price_of(bar, bar.length - bar.left) }

      # What is left and worth keeping, at the same prices.
      def left
        @left ||= money(cheapest_rate * remnants.sum.to_r)
      end

      # What is left and worth keeping; of what is counted, every one.
      def remnants = cutting.remnants(material.counted? ? 1 : @plan.smallest_remnant)

      # The chance that what is in hand and bought is enough.
      def chance_enough
        @chance_enough ||= chance
      end

      private

      def chance
        demand = cutting.demand
        return 0.0 if cutting.short.positive?
        spare = cutting.remnants(0).sum.to_f
        Measure::Chance.enough(demand.run.to_f + spare, mean: demand.run.to_f, spread: demand.spread).round(3)
      end

      def price_of(bar, length)
        rate = (bar.source == :offer) ? rate_of(material.offers[bar.index]) : cheapest_rate
        money(rate * length.to_r)
      end

      # Price of an inch, exactly.
      def rate_of(offer) = offer[:price].to_r / (offer[:length] || offer[:count])

      def cheapest_rate = @cheapest_rate ||= material.offers.map { rate_of(_1) }.min || 0r

      def money(rational) = BigDecimal(rational.numerator) / rational.denominator
    end
  end
end
