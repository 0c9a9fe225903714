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
          return [] if @sale.nil? || @table.on_sale?
          priced = Plan::Terms.new(sale: true).priced(@table.materials)
          return [] if priced == @table.materials
          now, then_ = @table.to_buy, @table.to_buy(@table.works, priced)
          (then_ < now) ? [Piece.new(code: "wait", material: nil, saves: now - then_, says: says(now, then_))] : []
        end

        private

        def says(now, then_)
          sums = "#{@table.money(then_)} instead of #{@table.money(now)}"
          return "On sale now: #{sums}. Tick “Buy at sale prices” to reckon with it." if @today && @sale <= @today
          "On sale it comes to #{sums}. The next sale begins on #{Measure::Words.day(@sale)}: wait for it if you can."
        end
      end
    end
  end
end
