# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A colour to draw with, as `#rrggbb`.
      class Colour < Field
        # @return [String, nil] in lower case
        def read(value, at, reading)
          return value.downcase if value.is_a?(String) && value.match?(/\A#\h{6}\z/)
          reading.refuse(at, "#{label} must be written like #c8a36a; #{reading.quote(value)} is not.")
        end
      end
    end
  end
end
