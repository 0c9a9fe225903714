# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A plain number: a share, a factor.
      class Number < Field
        # @param above [Boolean] whether the least itself is refused
        def initialize(name, least: 0.0, most: 1.0, above: false, **rest)
          super(name, **rest)
          @least = least
          @most = most
          @above = above
        end

        # @return [Float, nil]
        def read(value, at, reading)
          number = (value.is_a?(String) && value.match?(/\A\s*\d{1,6}([.,]\d{1,6})?\s*\z/)) ? value.tr(",", ".").to_f :
            value
          number = number.to_f if number.is_a?(Integer) && number.abs < 1_000_000
          unless number.is_a?(Float) && number.finite?
            return reading.refuse(at,
              "#{label} must be a number from #{short(@least)} to #{short(@most)}; #{reading.quote(value)} is none.")
          end
          inside = number.between?(@least, @most) && !(@above && number == @least)
          return number if inside
          reading.refuse(at,
            "#{label} must be #{@above ? "more than #{short(@least)} and at most" : "from #{short(@least)} to"} " \
            "#{short(@most)}; #{reading.quote(value)} is not.")
        end

        private

        def short(number) = (number == number.to_i) ? number.to_i : number

        def limits = {"least" => @least, "most" => @most, "above" => @above}
      end
    end
  end
end
