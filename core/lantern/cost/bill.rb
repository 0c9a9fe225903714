# frozen_string_literal: true

module Lantern
  module Cost
    # The money of a whole plan. Each sum is exact until it is written, and rounded then, half up, once:
    # so parts as written may differ from their total by a hundredth.
    Bill = Value.define(:plan, :entries, :minutes) do
      def initialize(minutes: 0, **given) = super

      # @param stock [Array<Cut::Cutting>]
      # @param minutes [Numeric] at the bench, for all wreaths
      # @return [Bill]
      def self.of(plan, stock, minutes: 0) = new(plan:, minutes:, entries: stock.map { Entry.new(_1, plan) })

      # @return [Array<Entry>] of what is asked for
      def needed = entries.select(&:needed?)

      def to_buy = entries.sum(BigDecimal(0), &:to_buy)

      def used = entries.sum(BigDecimal(0), &:used)

      # What went into each of them.
      def per_wreath = used / shares

      def left_in_stash = entries.sum(BigDecimal(0), &:left)

      # Out of pocket, the tax with it.
      def to_pay = to_buy + terms.tax_on(to_buy)

      def terms = plan.money

      def to_h
        money = plan.method(:money_text)
        {
          "to_buy" => money.call(to_buy), "used" => money.call(used), "per_wreath" => money.call(per_wreath),
          "left_in_stash" => money.call(left_in_stash),
          **(terms.tax.positive? ? {"tax" => money.call(terms.tax_on(to_buy)), "to_pay" => money.call(to_pay)} : {}),
          **(terms.asks? ? asking : {})
        }
      end

      # The sum behind it, line by line.
      # @return [Array<Place::Working>]
      def working
        money = plan.method(:money_says)
        rows = [[:to_buy, "To buy, whole packages#{" at sale prices" if terms.sale}", "", to_buy]]
        if terms.tax.positive?
          rows += [[:tax, "Tax", "#{money.call(to_buy)} × #{short(terms.tax)} %", terms.tax_on(to_buy)],
            [:to_pay, "To pay", "#{money.call(to_buy)} + tax", to_pay]]
        end
        rows += [[:used, "Went into the work", "", used],
          [:per_wreath, "A wreath", (plan.quantity > 1) ? "#{money.call(used)} ÷ #{plan.quantity}" : "",
            per_wreath], [:left_in_stash, "What is left is worth", "", left_in_stash]]
        (rows + (terms.asks? ? asking_rows : []))
          .map { |key, says, sum, amount| Place::Working.new(key:, says:, sum:, answer: money.call(amount)) }
      end

      private

      # Of an occasion that nothing hangs on yet there is no wreath to share it.
      def shares = [plan.quantity, 1].max

      def one = terms.cost_of(per_wreath, minutes.fdiv(shares))

      def asking
        {"bench_time" => one[:time], "overhead" => one[:overhead], "cost_of_one" => one[:cost],
         "asking_price" => one[:asking]}.transform_values { plan.money_text(_1) }
      end

      def asking_rows
        money = plan.method(:money_says)
        [
          *(terms.hourly ? [[:bench_time, "Time at the bench, a wreath",
            "#{minutes.fdiv(shares).round} min × #{money.call(terms.hourly)} ÷ 60", one[:time]]] : []),
          *(terms.overhead.positive? ? [[:overhead, "Overhead", "#{short(terms.overhead)} % of material and time",
            one[:overhead]]] : []),
          [:cost_of_one, "What a wreath costs you", "", one[:cost]],
          *(terms.margin.positive? ? [[:asking_price, "Asking price",
            "#{money.call(one[:cost])} ÷ (1 − #{short(terms.margin)} %)", one[:asking]]] : [])
        ]
      end

      def short(number) = (number == number.to_i) ? number.to_i : number
    end
  end
end
