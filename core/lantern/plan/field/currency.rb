# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A currency by its three letters.
      # Source: ISO 4217.
      class Currency < Field
        def initialize(name, **rest)
          super(name, default: "USD", label: "Currency", **rest)
        end

        # @return [String, nil]
        def read(value, at, reading)
          return value if value.is_a?(String) && value.match?(/\A[A-Z]{3}\z/) && Measure::Money.currency?(value)
          reading.refuse(at, "#{label} must be three letters as in USD or EUR; #{reading.quote(value)} is not known.")
        end
      end
    end
  end
end
