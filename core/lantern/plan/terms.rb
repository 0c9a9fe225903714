# frozen_string_literal: true

module Lantern
  module Plan
    # What a maker says of money besides prices: whether to buy on sale, the tax, and what an asking
    # price is made of. Shares are in hundredths; nothing of it changes what is cut.
    Terms = Value.define(:sale, :tax, :hourly, :overhead, :margin) do
      def initialize(sale: false, tax: 0.0, hourly: nil, overhead: 0.0, margin: 0.0) = super

      # @return [Field] as it stands in a plan and in an occasion
      def self.field
        Field::Record.new(:money, label: "Money", fields: [
          Field::Switch.new(:sale, label: "Buy at sale prices", help: "Where an offer has one."),
          Field::Number.new(:tax, default: 0.0, most: 100.0, label: "Tax on what is bought, %"),
          Field::Money.new(:hourly, label: "An hour at the bench"),
          Field::Number.new(:overhead, default: 0.0, most: 500.0, label: "Overhead, % of cost"),
          Field::Number.new(:margin, default: 0.0, most: 95.0, label: "Margin, % of the price")
        ])
      end

      # @param read [Hash, nil] what the field read
      def self.of(read) = read ? new(**read) : new

      # @return [Array<Material>] with what an offer really costs as its price
      def priced(materials)
        return materials unless sale
        materials.map { |material|
          material.with(
          offers: material.offers.map { |offer| offer[:sale_price] ? offer.merge(price: offer[:sale_price]) : offer }
        )
        }
      end

      def tax_on(amount) = amount * share(tax)

      # What one wreath costs to make: material used, time, overhead.
      # @param used [BigDecimal]
      # @param minutes [Numeric]
      # @return [Hash{Symbol=>BigDecimal}]
      def cost_of(used, minutes)
        time = hourly ? hourly * BigDecimal(minutes.round) / 60 : BigDecimal(0)
        over = (used + time) * share(overhead)
        cost = used + time + over
        {time:, overhead: over, cost:, asking: cost / (1 - share(margin))}
      end

      # Whether an asking price is wanted at all.
      def asks? = !hourly.nil? || overhead.positive? || margin.positive?

      private

      def share(hundredths) = BigDecimal(hundredths.to_s) / 100
    end
  end
end
