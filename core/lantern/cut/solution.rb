# frozen_string_literal: true

module Lantern
  module Cut
    # Which lengths are opened, and how many of each item ({Problem#items}) every one of them yields.
    # `proven` and `bound` as in {Cutting}; `short` in inches.
    Solution = Value.define(:opened, :yields, :proven, :bound, :short) do
      def initialize(opened:, yields:, proven:, bound:, short: 0) = super

      def price = opened.sum(&:price)
    end
  end
end
