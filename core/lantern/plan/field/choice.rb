# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # One of a few words.
      class Choice < Field
        # @param choices [Hash{Symbol=>String}] each word of the document, and what the screens say for it
        def initialize(name, choices:, **rest)
          super(name, **rest)
          @choices = choices
        end

        # @return [Symbol, nil]
        def read(value, at, reading)
          found = value.is_a?(String) ? choices.keys.find { _1.to_s == value } : nil
          found || reading.refuse(at, "#{label} must be #{listed}; #{reading.quote(value)} is not known.")
        end

        private

        def choices = @choices.respond_to?(:call) ? @choices.call : @choices

        def listed
          *others, last = choices.keys.map(&:to_s)
          others.empty? ? last : "#{others.join(", ")} or #{last}"
        end

        def missing = "#{label} is missing: #{listed}."

        def declared_default = default&.to_s

        def limits = {"choices" => choices.map { |word, says| {"value" => word.to_s, "says" => says} }}
      end
    end
  end
end
