# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # The one value a document must carry, such as its format.
      class Constant < Field
        def initialize(name, value:, **rest)
          super(name, required: true, **rest)
          @value = value
        end

        def read(value, at, reading)
          return value if value == @value
          reading.refuse(at, "#{label} must be #{reading.quote(@value)}; #{reading.quote(value)} is not.")
        end

        private

        def missing = "#{label} is missing: it must be #{@value}."
      end
    end
  end
end
