# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A whole number of things.
      class Count < Field
        def initialize(name, least: 1, most: 1000, **rest)
          super(name, **rest)
          @least = least
          @most = most
        end

        # @return [Integer, nil]
        def read(value, at, reading)
          number = (value.is_a?(String) && value.match?(/\A\s*\d{1,9}\s*\z/)) ? value.to_i : value
          number = number.to_i if number.is_a?(Float) && number.finite? && number == number.floor && number.abs < 1e9
          unless number.is_a?(Integer)
            return reading.refuse(at,
              "#{label} must be a whole number such as #{@least.clamp(2, 12)}; #{reading.quote(value)} is none.")
          end
          return number if number.between?(@least, @most)
          reading.refuse(at, "#{label} must be from #{@least} to #{@most}; #{reading.quote(value)} is not.")
        end

        private

        def limits = {"least" => @least, "most" => @most}
      end
    end
  end
end
