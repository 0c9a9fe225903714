# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A weight: grams, or a text that says ounces.
      class Weight < Field
        WRITTEN = /\A\s*(\d{1,6}(?:[.,]\d{1,3})?)\s*(g|grams?|kg|oz|ounces?|lb|pounds?)?\s*\z/i
        # Source: international avoirdupois pound (1959).
        IN_GRAMS = {"g" => 1.0, "kg" => 1000.0, "oz" => 28.349523125, "lb" => 453.59237}.freeze

        # @return [Float, nil] grams
        def read(value, at, reading)
          number, unit = value.to_s.match(WRITTEN)&.captures
          grams = number && number.tr(",", ".").to_f *
            IN_GRAMS.fetch({"gram" => "g", "grams" => "g", "ounce" => "oz", "ounces" => "oz", "pound" => "lb",
                            "pounds" => "lb"}.fetch(unit&.downcase, unit&.downcase) || "g")
          return grams if grams&.between?(0.01, 50_000) && [String, Integer, Float].any? { value.is_a?(_1) }
          reading.refuse(at, "#{label} must be a weight such as 250 g or 8 oz; #{reading.quote(value)} is none.")
        end
      end
    end
  end
end
