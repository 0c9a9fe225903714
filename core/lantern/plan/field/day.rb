# frozen_string_literal: true

require "date"

module Lantern
  module Plan
    class Field
      # A day of the calendar, as in `2027-06-21`.
      class Day < Field
        # @return [Date, nil]
        def read(value, at, reading)
          raise Date::Error unless value.is_a?(String) && value.match?(/\A\d{4}-\d{2}-\d{2}\z/)
          Date.iso8601(value)
        rescue Date::Error
          reading.refuse(at, "#{label} must be a day such as 2027-06-21; #{reading.quote(value)} is none.")
        end
      end
    end
  end
end
