# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # One of a few words.
      class Choice < Field
        # @param choices [Hash{Symbol=>String}] each word of the document, and what the screens say for it
        # @param open [Boolean] whether another word than these will do as well; it is read as it is
        # @param also [Hash{Symbol=>Symbol}] other words that mean one of them
        def initialize(name, choices:, open: false, also: {}, **rest)
          super(name, **rest)
          @choices, @also = choices, also
          @other = Text.new(name, most: 60, label:) if open
        end

        # @return [Symbol, String, nil]
        def read(value, at, reading)
          found = value.is_a?(String) ? (choices.keys + @also.keys).find { _1.to_s == value } : nil
          found = @also.fetch(found, found)
          return found if found
          return @other.read(value, at, reading) if @other
          reading.refuse(at, "#{label} must be #{listed}; #{reading.quote(value)} is not known.")
        end

        private

        def choices = @choices.respond_to?(:call) ? @choices.call : @choices

        def listed
          *others, last = choices.keys.map(&:to_s)
          others.empty? ? last : "#{others.join(", ")} or #{last}"
        end

        def missing = "#{label} is missing: #{listed}."

        def declared_default = default&.to_s

        def limits = {"choices" => choices.map { |word, says| {"value" => word.to_s, "says" => says} },
                      "open" => (true if @other)}
      end
    end
  end
end
