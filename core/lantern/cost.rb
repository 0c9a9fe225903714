# frozen_string_literal: true

module Lantern
  # What is bought, what went into the wreath, and what is left.
  module Cost
    class << self
      # @param stock [Array<Cut::Cutting>]
      # @param minutes [Numeric] at the bench, for all wreaths
      # @return [Bill]
      def work(plan, stock, minutes: 0) = Bill.new(plan:, minutes:, entries: stock.map { Entry.new(_1, plan) })
    end
  end
end
