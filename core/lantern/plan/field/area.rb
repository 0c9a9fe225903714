# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # An area: a number of square units, in the document's own.
      class Area < Field
        # A tennis court, in square inches.
        MOST = 400_000

        # @return [Float, nil] square inches
        def read(value, at, reading)
          number = (value.is_a?(String) && value.match?(/\A\s*\d{1,9}([.,]\d{1,6})?\s*\z/)) ? value.tr(",", ".").to_f :
            value
          unless number.is_a?(Numeric) && number.to_f.finite?
            return reading.refuse(at, "#{label} must be a number of square " \
              "#{(reading.units == "cm") ? "centimetres" : "inches"}; #{reading.quote(value)} is none.")
          end
          square = number * Measure::Length::IN.fetch(reading.units).to_f**2
          return square if square.between?(0.01, MOST)
          reading.refuse(at,
            "#{label} must be more than nothing and less than a tennis court; #{reading.quote(value)} is not.")
        end
      end
    end
  end
end
