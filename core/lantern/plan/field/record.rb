# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # An object with named fields. Keys it does not know are problems, so that a slip of the pen
      # is never silently left out of the sum.
      class Record < Field
        # For so many unknown keys something like them is looked for; where there are more, they are no slips.
        MOST_GUESSES = 20

        attr_reader :fields

        def initialize(name, fields:, **rest)
          super(name, **rest)
          @fields = fields
          @known = fields.to_h { [_1.key, true] }
        end

        # @return [Hash{Symbol=>Object}, nil] nil when it is no object at all; a refused field reads as nil
        def read(value, at, reading)
          unless value.is_a?(Hash)
            return reading.refuse(at, "#{label} must be an object with named fields; #{reading.quote(value)} is none.")
          end
          refuse_unknown(value, at, reading)
          fields.to_h do |field|
            said = value[field.key]
            # Where nothing is said and nothing has to be, its place is nobody's business.
            next [field.name, field.default] if said.nil? && !field.required?
            place = at.empty? ? field.key : "#{at}.#{field.key}"
            [field.name, said.nil? ? field.absent(place, reading) : field.read(said, place, reading)]
          end
        end

        private

        def refuse_unknown(value, at, reading)
          return if value.each_key.all? { @known.key?(_1) }
          (value.keys - @known.keys).each_with_index do |key, number|
            near = near(key) if number < MOST_GUESSES
            reading.refuse([at, key.to_s[0, 60].scrub("?")].reject(&:empty?).join("."),
              "#{reading.quote(key)} is not known here#{near ? "; did you mean “#{near}”?" : "."}")
          end
        end

        def near(key) = DidYouMean::SpellChecker.new(dictionary: @known.keys).correct(key[0, 60]).first

        def limits = {"fields" => fields.map(&:declare)}
      end
    end
  end
end
