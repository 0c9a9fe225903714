# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Yes or no.
      class Switch < Field
        def initialize(name, default: false, **rest) = super

        # @return [Boolean, nil]
        def read(value, at, reading)
          return value if value == true || value == false
          reading.refuse(at, "#{label} must be true or false; #{reading.quote(value)} is neither.")
        end
      end
    end
  end
end
