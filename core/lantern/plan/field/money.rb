# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A sum of money, written as a decimal text.
      class Money < Field
        # @return [BigDecimal, nil]
        def read(value, at, reading)
          Measure::Money.read(value)
        rescue Measure::Money::Unreadable
          reading.refuse(at, "#{label} must be a decimal text such as \"1.75\"; #{reading.quote(value)} is not.")
        end
      end
    end
  end
end
