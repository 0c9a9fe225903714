# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # One of a few words, or an object that says more.
      class Either < Field
        # @return [Record] what may stand there besides a word
        attr_reader :record

        # @param words [Hash{Symbol=>String}] each word of the document, and what the screens say for it
        def initialize(name, words:, record:, **rest)
          super(name, **rest)
          @words, @record = words, record
        end

        # @return [Symbol, Hash, nil]
        def read(value, at, reading)
          return @record.read(value, at, reading) if value.is_a?(Hash)
          found = @words.keys.find { _1.to_s == value }
          return found if found
          reading.refuse(at, "#{label} must be #{@words.keys.join(", ")} or an object with named fields; " \
            "#{reading.quote(value)} is not known.")
        end

        private

        # The screens offer the words.
        def kind = "choice"

        def declared_default = default&.to_s

        def limits = {"choices" => @words.map { |word, says| {"value" => word.to_s, "says" => says} },
                      "fields" => @record.fields.map(&:declare)}
      end
    end
  end
end
