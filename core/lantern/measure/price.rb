# frozen_string_literal: true

module Lantern
  module Measure
    # What a package costs while packages are chosen: a whole number of ten-thousandths of the maker's money, which is
    # as fine as a price can be written, so that sums and comparisons are exact.
    module Price
      PER_ONE = 10_000

      module_function

      # @param amount [BigDecimal, nil] a price of at most four decimals; nil costs nothing
      # @return [Integer]
      def exact(amount) = amount ? (amount * PER_ONE).to_i : 0

      # @param price [Integer]
      # @return [BigDecimal]
      def amount(price) = BigDecimal(price) / PER_ONE

      # For a program that reckons in floats.
      # @return [Float]
      def float(price) = price / PER_ONE.to_f

      # The least exact price that is no less than what a program found, as a multiple of a step.
      # @param value [Float]
      # @param step [Integer] what every price that can be is a multiple of
      # @return [Integer]
      def at_least(value, step) = step.zero? ? 0 : (value * PER_ONE / step - 1e-6).ceil * step
    end
  end
end
