# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # What buying at sale prices would save, when a sale is on or in sight.
      class Wait
        def initialize(table, today: nil, sale: nil, **)
          @table, @today, @sale = table, today, sale
        end

        # @return [Array<Piece>]
        def to_a
          return [] if @table.on_sale?
          now = @table.to_buy
          then_, day = sales.map { |day, priced| [@table.to_buy(@table.works, priced), day] }.min
          (then_ && then_ < now) ? [Piece.new(code: "wait", material: nil, saves: now - then_,
            says: says(now, then_, day))] : []
        end

        private

        # The days on which something is on sale, and what everything costs then: as the shop says, and as the offers
        # say themselves.
        # @return [Array<(Date, Array<Plan::Material>)>]
        def sales
          shop = @sale && [@sale, Plan::Terms.new(sale: true).priced(@table.materials)]
          own = @today ? days.map { [_1, Cost::Sale.priced(@table.materials, _1)] } : []
          [shop, *own].compact.reject { |_, priced| priced == @table.materials }
        end

        def days
          offers = @table.materials.flat_map(&:offers).select { Cost::Sale.known?(_1) }
          offers.filter_map { Cost::Sale.day(_1, @today) }.map { [_1, @today].max }.uniq.sort
        end

        def says(now, then_, day)
          sums = "#{@table.money(then_)} instead of #{@table.money(now)}"
          return "On sale now: #{sums}. Tick “Buy at sale prices” to reckon with it." if @today && day <= @today
          "On sale it comes to #{sums}. The next sale begins on #{Measure::Words.day(day)}: wait for it if you can."
        end
      end
    end
  end
end
