# frozen_string_literal: true

module Lantern
  module Cost
    # Whether it is worth waiting for the next sale: what waiting saves, and whether the last day to buy
    # allows it.
    Waiting = Value.define(:regular, :on_sale, :sale, :today, :buy_by) do
      def saves = regular - on_sale

      def worth? = saves.positive?

      # Whether it is on sale now.
      def now? = sale <= today

      def in_time? = sale <= buy_by

      # @return [Hash, nil] nil when nothing is saved
      def to_h
        return unless worth?
        {"saves" => Measure::Money.text(saves), "to_buy" => Measure::Money.text(on_sale), "sale" => sale.iso8601,
         "in_time" => in_time?, "says" => says}
      end

      private

      def says
        money = Measure::Money.text(saves)
        return "On sale now: buying at sale prices saves #{money}." if now?
        days = (sale - today).to_i
        if in_time?
          return "Waiting #{days} #{(days == 1) ? "day" : "days"} for the next sale, #{sale}, saves #{money}, and is " \
            "in time: the last day to buy is #{buy_by}."
        end
        "The next sale, #{sale}, would save #{money} but comes too late: the last day to buy is #{buy_by}."
      end
    end
  end
end
