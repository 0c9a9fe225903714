# frozen_string_literal: true

module Lantern
  module Cost
    # When an offer is on sale: from a first day on, and again every so many days.
    module Sale
      # Days that a sale lasts (from memory: ask the shop).
      LASTS = 7

      module_function

      # @param offer [Hash] of a material
      # @return [Boolean] whether it is known when it is on sale
      def known?(offer) = !offer[:sale_price].nil? && !offer[:sale_from].nil?

      # The first day of the sale that is on, or of the next one.
      # @param offer [Hash] one that is known
      # @param today [Date]
      # @return [Date, nil] nil when there is none any more
      def day(offer, today)
        from, every = offer.values_at(:sale_from, :sale_every)
        return from if today < from + LASTS
        return unless every
        begun = today - (today - from).to_i % every
        (today < begun + LASTS) ? begun : begun + every
      end

      # @return [Boolean]
      def on?(offer, today) = (first = day(offer, today)) ? first <= today : false

      # Materials as they cost on a day: what is on sale then at its sale price.
      # @param materials [Array<Plan::Material>]
      # @param today [Date]
      # @return [Array<Plan::Material>]
      def priced(materials, today)
        materials.map { |material|
          material.with(offers: material.offers.map { |offer|
            (known?(offer) && on?(offer, today)) ? offer.merge(price: offer[:sale_price]) : offer
          })
        }
      end
    end
  end
end
