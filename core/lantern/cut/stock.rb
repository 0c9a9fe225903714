# frozen_string_literal: true

module Lantern
  module Cut
    # One kind of length that can be opened. `limit` is how many there are, nil for no end of them;
    # `price` is exact ({Measure::Price}).
    Stock = Value.define(:source, :index, :length, :price, :limit) do
      class << self
        # @return [Array<Stock>] what is on hand first, then the offers
        def of(material)
          material.on_hand.each_with_index.map { |length, index|
            new(source: :on_hand, index:, length:, price: 0,
              limit: 1)
          } +
            material.offers.each_with_index.map { |offer, index|
              new(source: :offer, index:, length: offer[:length],
                price: Measure::Price.exact(offer[:price]), limit: nil)
            }
        end
      end
    end
  end
end
