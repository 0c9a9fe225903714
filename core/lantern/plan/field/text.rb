# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A few words of the maker's own. Kept as they are; it is for whoever shows them to escape them.
      class Text < Field
        def initialize(name, most: 200, blank: false, **rest)
          super(name, **rest)
          @most = most
          @blank = blank
        end

        # @return [String, nil]
        def read(value, at, reading)
          unless value.is_a?(String)
            return reading.refuse(at, "#{label} must be a text; #{reading.quote(value)} is none.")
          end
          return reading.refuse(at, "#{label} holds bytes that are not text.") unless value.valid_encoding?
          return reading.refuse(at, "#{label} must not be empty.") if value.strip.empty? && !@blank
          if value.length > @most
            return reading.refuse(at, "#{label} is #{value.length} characters long; #{@most} are allowed.")
          end
          if value.match?(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/)
            return reading.refuse(at, "#{label} holds a character that cannot be printed.")
          end
          value.strip
        end

        private

        def limits = {"most" => @most}
      end
    end
  end
end
