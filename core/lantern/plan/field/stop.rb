# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Where along the band something begins or ends: an hour from 0 to 12, or a length from the start of a form that
      # is open.
      class Stop < Field
        HOURS = 12.0
        PLAIN = /\A\s*\d{1,2}([.,]\d{1,4})?\s*\z/

        def initialize(name, **rest)
          super
          @hour = Number.new(name, most: HOURS, label:)
          @length = Length.new(name, zero: true, label:)
        end

        # @return [Plan::Stop, nil]
        def read(value, at, reading)
          if clock?(value, reading)
            hour = @hour.read(value, at, reading)
            return hour && Plan::Stop.new(hour:, along: nil)
          end
          along = @length.read(value, at, reading)
          along && Plan::Stop.new(hour: nil, along:)
        end

        private

        def clock?(value, reading) =
          !reading.open_form && !(value.is_a?(String) && !value.match?(PLAIN))
      end
    end
  end
end
