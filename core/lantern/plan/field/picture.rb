# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A picture that is kept elsewhere, by its digest; what it shows is for whoever draws.
      class Picture < Field
        DIGEST = /\A[0-9a-f]{64}\z/

        # @param outlined [Boolean] whether what it shows is cut out along its outline, which stands beside it
        def initialize(name, outlined: false, **rest)
          super(name, **rest)
          @outlined = outlined
        end

        # @return [String, nil]
        def read(value, at, reading)
          return value if value.is_a?(String) && value.match?(DIGEST)
          reading.refuse(at, "#{label} is not the name of a picture that was kept: choose the photo again.")
        end

        private

        def limits = @outlined ? {"outlined" => true} : {}
      end
    end
  end
end
