# frozen_string_literal: true

module Lantern
  module Cost
    # What there is to choose between when something is bought: one way it is sold against another, and
    # one package more against one fewer.
    class Choice
      # A foot and a metre, a square foot and a square metre: what prices are compared by.
      PER = {"in" => ["a foot", 12], "cm" => ["a metre", Rational(5000, 127)]}.freeze
      PER_AREA = {"in" => ["a square foot", 144], "cm" => ["a square metre", Rational(5000, 127)**2]}.freeze

      # @param entry [Entry]
      def initialize(entry, plan)
        @entry, @plan = entry, plan
        @cutting, @material = entry.cutting, entry.material
      end

      # Every way it is sold, by what a foot or a piece of it comes to, and what this plan would pay if it
      # bought only that.
      # @return [Array<Hash>] the cheapest for its length first
      def alternatives
        return [] if @material.offers.size < 2
        @material.offers.each_with_index.map { |offer, index| alternative(offer, index) }
          .sort_by { [_1[:rate], _1[:offer]] }
      end

      # Why one package more is bought than the sum alone asks for, or why not.
      # @return [String, nil]
      def reason
        demand = @cutting.demand
        return if demand.allowance.zero? || @cutting.short.positive? || @material.offers.empty?
        less = Cut.cut(@material, demand.with(allowance: 0))
        sure = percent(@plan.sureness)
        now = @entry.chance_enough
        if packages(less) == packages(@cutting)
          return (packages(@cutting) > 0) ? "The packages the sum asks for are enough in #{percent(now)} of 100 " \
            "makes; you asked for #{sure}." : nil
        end
        before = Entry.new(less, @plan).chance_enough
        more = packages(@cutting) - packages(less)
        "#{(more == 1) ? "One package" : "#{more} packages"} more than the sum asks for: without " \
        "#{(more == 1) ? "it" : "them"} #{percent(before)} of 100 makes would have enough, with " \
        "#{(more == 1) ? "it" : "them"} #{percent(now)}; you asked for #{sure}."
      end

      private

      def alternative(offer, index)
        says, unit = measure(offer)
        only = Cut.cut(@material.with(offers: [offer]), @cutting.demand)
        rate = offer[:price].to_r * unit / size(offer)
        {offer: index, rate:, per: "#{Measure::Money.text(money(rate))} #{says}",
         sale: (Measure::Money.text(offer[:sale_price]) if offer[:sale_price]),
         count: only.short.zero? ? packages(only) : nil,
         cost: (Measure::Money.text(offer[:price] * packages(only)) if only.short.zero?)}.compact
      end

      def measure(offer)
        return ["apiece", 1] if offer[:count]
        (offer[:width] ? PER_AREA : PER).fetch(@plan.units)
      end

      def size(offer) = offer[:count] || offer[:length] * (offer[:width] || 1)

      def packages(cutting) = cutting.packages

      def money(rational) = BigDecimal(rational.numerator) / rational.denominator

      # Never a hundred: no estimate is certain.
      def percent(share) = [(share * 100).round, 99].min
    end
  end
end
