# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Where something goes: at an hour of the clock, in the middle of the opening, or so far along the band.
      class Spot < Number
        MIDDLE = "middle"

        # @return [Record, nil] how far along is said, where it may be
        attr_reader :record

        # @param along [Boolean] whether it may be said how far along the band
        def initialize(name, along: false, **rest)
          super(name, **rest)
          if along
            @record = Record.new(name, label:,
              fields: [Length.new(:along, required: true, zero: true, label: "Along")])
          end
        end

        # @return [Float, Symbol, Hash, nil] an hour, `:middle`, or `along` in inches
        def read(value, at, reading)
          return :middle if value == MIDDLE
          (@record && value.is_a?(Hash)) ? @record.read(value, at, reading) : super
        end

        private

        # The screens offer the hour, and beside it the middle.
        def kind = "spot"
      end
    end
  end
end
