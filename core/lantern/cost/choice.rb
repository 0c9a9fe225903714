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
        return if !demand.insured? || @cutting.short.positive? || @material.offers.empty?
        less = Cut.cut(@material, demand.uninsured)
        now = packages(@cutting)
        if packages(less) == now
          return now.positive? ? "#{count(now)}: safely enough (#{percent(@entry.chance_enough)})." : nil
        end
        before = "#{packages(less).zero? ? "What you have is" : "#{count(packages(less))} would be"} enough " \
          "#{percent(Entry.new(less, @plan).chance_enough)} of the time"
        more = now - packages(less)
        last = (more == 1) ? "the last one makes" : "the last #{more} make"
        "#{before}; #{last} it #{percent(@entry.chance_enough)}."
      end

      private

      def alternative(offer, index)
        says, unit = measure(offer)
        only = Cut.cut(@material.with(offers: [offer]), @cutting.demand)
        rate = offer[:price].to_r * unit / size(offer)
        {offer: index, rate:, per: "#{@plan.money_says(money(rate))} #{says}",
         sale: (@plan.money_text(offer[:sale_price]) if offer[:sale_price]),
         count: only.short.zero? ? packages(only) : nil,
         cost: (@plan.money_text(offer[:price] * packages(only)) if only.short.zero?)}.compact
      end

      def measure(offer)
        return ["apiece", 1] if offer[:count]
        (offer[:width] ? PER_AREA : PER).fetch(@plan.units)
      end

      def size(offer) = offer[:count] || offer[:length] * (offer[:width] || 1)

      def packages(cutting) = cutting.packages

      def money(rational) = BigDecimal(rational.numerator) / rational.denominator

      def count(packages) = Measure::Words.count(packages, "package")

      # Never a hundred: no estimate is certain.
      def percent(share) = Measure::Words.chance(share)
    end
  end
end
