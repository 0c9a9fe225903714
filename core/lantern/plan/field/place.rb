# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A coordinate of an outline: any number, since only the shape counts.
      class Place < Field
        # @return [Float, nil]
        def read(value, at, reading)
          number = value.to_f if value.is_a?(Integer) || value.is_a?(Float)
          return number if number&.finite? && number.abs <= 1e6
          reading.refuse(at, "#{label} must be a number of no more than a million; #{reading.quote(value)} is not.")
        end
      end
    end
  end
end
