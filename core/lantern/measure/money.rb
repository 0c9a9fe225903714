# frozen_string_literal: true

# Sums are rounded as they are written here, and no locale of the machine has a say.
Money.rounding_mode = BigDecimal::ROUND_HALF_UP
Money.locale_backend = nil

module Lantern
  module Measure
    # Money is exact: a BigDecimal in the maker's own currency, written with as many places as that has. Only sums
    # are rounded, once, half up, when they are written down: here.
    module Money
      # Raised when what was written is not a sum of money.
      Unreadable = Class.new(StandardError)

      # Of a currency that nobody knows.
      PLACES = 2
      WRITTEN = /\A\d{1,7}(\.\d{1,4})?\z/

      # The same sums are said again at every key that is typed: so many are kept.
      SAID = 2000
      @said = {}
      private_constant :SAID

      module_function

      # @param text [String] as in `"1.75"`; a JSON number is refused, since it may be inexact
      # @return [BigDecimal]
      # @raise [Unreadable]
      def read(text)
        raise Unreadable, "not a decimal text" unless text.is_a?(String) && text.match?(WRITTEN)
        BigDecimal(text)
      end

      # @param currency [String] by ISO 4217
      # @return [String] with the places of its currency, rounded half up
      def text(amount, currency)
        rounded = rounded(amount, currency)
        # A little less than nothing is nothing.
        format("%.#{places(currency)}f", rounded.zero? ? 0 : rounded)
      end

      # @param currency [String] by ISO 4217
      # @return [BigDecimal] as it is written, half up
      def rounded(amount, currency) = BigDecimal(amount.round(places(currency), BigDecimal::ROUND_HALF_UP))

      # @param currency [String] by ISO 4217
      # @return [String] as a maker says it: "$10.50", "10.50 kr"
      def says(amount, currency)
        @said.clear if @said.size > SAID
        @said[[amount, currency]] ||= say(amount, currency)
      end

      # @return [Boolean] whether there is such a currency
      def currency?(code) = !::Money::Currency.find(code).nil?

      def places(currency) = ::Money::Currency.find(currency)&.exponent || PLACES

      def say(amount, currency)
        ::Money.from_amount(amount, currency).format(thousands_separator: "", decimal_mark: ".").freeze
      rescue ::Money::Currency::UnknownCurrency
        "#{text(amount, currency)} #{currency}".freeze
      end

      private_class_method :places, :say
    end
  end
end
