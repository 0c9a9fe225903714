# frozen_string_literal: true

module Lantern
  module Plan
    # Where along a band something begins or ends: at an hour of the clock, or so many inches from the start of a form
    # that is open. One of both is nil.
    Stop = Value.define(:hour, :along) do
      # @return [String] as a sentence says it
      def says(units) = hour ? Measure::Words.hour(hour, places: 2) : Measure::Length.text(along, units:)
    end
  end
end
