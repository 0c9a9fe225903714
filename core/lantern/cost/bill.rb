# frozen_string_literal: true

module Lantern
  module Cost
    # The money of a whole plan. Each sum is rounded once, half up, when it is written.
    Bill = Data.define(:plan, :entries) do
      def to_buy = entries.sum(&:to_buy)

      def used = entries.sum(&:used)

      def left_in_stash = entries.sum(&:left)

      def to_h
        money = Measure::Money.method(:text)
        {"to_buy" => money.(to_buy), "used" => money.(used), "per_wreath" => money.(used / plan.quantity), "left_in_stash" => money.(left_in_stash)}
      end
    end
  end
end
