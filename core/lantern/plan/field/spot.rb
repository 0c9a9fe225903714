# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Where something goes: at an hour of the clock, or in the middle of the opening.
      class Spot < Number
        MIDDLE = "middle"

        # @return [Float, Symbol, nil] an hour, or `:middle`
        def read(value, at, reading) = (value == MIDDLE) ? :middle : super

        private

        # The screens offer the hour, and beside it the middle.
        def kind = "spot"
      end
    end
  end
end
