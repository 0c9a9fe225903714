# frozen_string_literal: true

module Lantern
  module Cost
    # The money of a whole plan. Each sum is rounded once, half up, when it is written.
    Bill = Value.define(:plan, :entries) do
      def to_buy = entries.sum(BigDecimal(0), &:to_buy)

      def used = entries.sum(BigDecimal(0), &:used)

      def left_in_stash = entries.sum(BigDecimal(0), &:left)

      def to_h
        money = Measure::Money.method(:text)
        {"to_buy" => money.call(to_buy), "used" => money.call(used), "per_wreath" => money.call(used / plan.quantity), "left_in_stash" => money.call(left_in_stash)}
      end
    end
  end
end
