# frozen_string_literal: true

module Lantern
  module Cost
    # Whether it is worth waiting for the next sale: what waiting saves, and whether the last day to buy
    # allows it.
    Waiting = Value.define(:regular, :on_sale, :sale, :today, :buy_by, :currency) do
      def saves = regular - on_sale

      def worth? = saves.positive?

      def now? = sale <= today

      def in_time? = sale <= buy_by

      # @return [Hash, nil] nil when nothing is saved
      def to_h
        return unless worth?
        {"saves" => Measure::Money.text(saves, currency), "to_buy" => Measure::Money.text(on_sale, currency),
         "sale" => sale.iso8601, "in_time" => in_time?, "says" => says}
      end

      private

      def says
        money = Measure::Money.says(saves, currency)
        day = Measure::Words.method(:day)
        return "On sale now: buying at sale prices saves #{money}." if now?
        if in_time?
          return "Waiting #{Measure::Words.count((sale - today).to_i, "day")} for the next sale, #{day.call(sale)}, " \
            "saves #{money}. It is in time: the last day to buy is #{day.call(buy_by)}."
        end
        "The next sale, #{day.call(sale)}, would save #{money} but comes too late: the last day to buy is " \
          "#{day.call(buy_by)}."
      end
    end
  end
end
