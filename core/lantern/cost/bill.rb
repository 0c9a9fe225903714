# frozen_string_literal: true

module Lantern
  module Cost
    # The money of a whole plan. Each sum is exact until it is written, and rounded then, half up, once; where parts as
    # written do not come to their total as written, the rounding has its own line. What is bought and what is taken
    # from the stash is what goes into the work, what is left over, and scraps.
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

      def from_stash = entries.sum(BigDecimal(0), &:from_stash)

      # What is left of all that, and worth keeping.
      def left_over = entries.sum(BigDecimal(0), &:left_over)

      # Too short to keep, and what a dear package costs more than the cheapest would for what is left of it: what is
      # left when each of the others is rounded, so that the sum closes as it is written.
      def scraps
        [[to_buy, from_stash, -used, -left_over].sum { rounded(_1) }, BigDecimal(0)].max
      end

      def left_in_stash = entries.sum(BigDecimal(0), &:left)

      # Out of pocket, the tax with it.
      def to_pay = to_buy + terms.tax_on(to_buy)

      def terms = plan.money

      def to_h
        money = plan.method(:money_text)
        {
          "to_buy" => money.call(to_buy), "used" => money.call(used), "per_wreath" => money.call(per_wreath),
          "left_in_stash" => money.call(left_in_stash), "from_stash" => money.call(from_stash),
          "left_over" => money.call(left_over), "scraps" => money.call(scraps),
          **(terms.tax.positive? ? {"tax" => money.call(terms.tax_on(to_buy)), "to_pay" => money.call(to_pay)} : {}),
          **(terms.asks? ? asking : {})
        }
      end

      # The sum behind it, line by line.
      # @return [Array<Place::Working>]
      def working
        rows = [[:to_buy, "To buy, whole packages#{" at sale prices" if terms.sale}", "", to_buy],
          *(taxed if terms.tax.positive?), *closing,
          [:per_wreath, "A wreath", (plan.quantity > 1) ? "#{says(used)} ÷ #{plan.quantity}" : "", per_wreath],
          [:left_in_stash, "The stash is worth then", "", left_in_stash], *(asking_rows if terms.asks?)]
        rows.map { |key, says, sum, amount| Place::Working.new(key:, says:, sum:, answer: says(amount)) }
      end

      private

      def says(amount) = plan.money_says(amount)

      def rounded(amount) = Measure::Money.rounded(amount, plan.currency)

      def taxed
        tax = terms.tax_on(to_buy)
        [[:tax, "Tax", "#{says(to_buy)} × #{short(terms.tax)} %", tax],
          *rounding(:tax_rounding, to_pay, to_buy, tax), [:to_pay, "To pay", "#{says(to_buy)} + tax", to_pay]]
      end

      # What was bought and taken from the stash, and where it went: both come to the same.
      def closing
        scraps = self.scraps
        rounding = rounding(:rounding, scraps, to_buy, from_stash, -used, -left_over)
        [[:from_stash, "From the stash", "what is cut into", from_stash], [:used, "Goes into the work", "", used],
          [:left_over, "Left over", "what is worth keeping", left_over],
          [:scraps, "Scraps", rounding.any? ? "" : scraps_sum, scraps], *rounding]
      end

      # Where nothing is left and the others do not come to nothing as they are written, the rounding says so instead.
      def scraps_sum = "#{says(to_buy)} + #{says(from_stash)} − #{says(used)} − #{says(left_over)}"

      # A line, where parts as they are written do not come to their sum as it is written.
      def rounding(key, sum, *parts)
        off = [sum, *parts.map(&:-@)].sum { rounded(_1) }
        off.zero? ? [] : [[key, "Rounding", "", off]]
      end

      # Of an occasion that nothing hangs on yet there is no wreath to share it.
      def shares = [plan.quantity, 1].max

      def one = terms.cost_of(per_wreath, minutes.fdiv(shares))

      def asking
        {"bench_time" => one[:time], "overhead" => one[:overhead], "cost_of_one" => one[:cost],
         "asking_price" => one[:asking]}.transform_values { plan.money_text(_1) }
      end

      def asking_rows
        money = plan.method(:money_says)
        parts = [per_wreath, *(one[:time] if terms.hourly), *(one[:overhead] if terms.overhead.positive?)]
        [
          *(terms.hourly ? [[:bench_time, "Time at the bench, a wreath",
            "#{minutes.fdiv(shares).round} min × #{money.call(terms.hourly)} ÷ 60", one[:time]]] : []),
          *(terms.overhead.positive? ? [[:overhead, "Overhead", "#{short(terms.overhead)} % of material and time",
            one[:overhead]]] : []),
          *rounding(:cost_rounding, one[:cost], *parts),
          [:cost_of_one, "What a wreath costs you", "", one[:cost]],
          *(terms.margin.positive? ? [[:asking_price, "Asking price",
            "#{money.call(one[:cost])} ÷ (1 − #{short(terms.margin)} %)", one[:asking]]] : [])
        ]
      end

      def short(number) = (number == number.to_i) ? number.to_i : number
    end
  end
end
