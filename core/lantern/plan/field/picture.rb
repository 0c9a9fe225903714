# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A picture that is kept elsewhere, by its digest; what it shows is for whoever draws.
      class Picture < Field
        DIGEST = /\A[0-9a-f]{64}\z/

        # @return [String, nil]
        def read(value, at, reading)
          return value if value.is_a?(String) && value.match?(DIGEST)
          reading.refuse(at, "#{label} is not the name of a picture that was kept: choose the photo again.")
        end
      end
    end
  end
end
