# frozen_string_literal: true

module Lantern
  # What is bought, what went into the wreath, and what is left.
  module Cost
    class << self
      # @param stock [Array<Cut::Cutting>]
      # @return [Bill]
      def work(plan, stock) = Bill.new(plan:, entries: stock.map { Entry.new(_1, plan) })
    end
  end
end
