# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A length: a number in the document's units, or a text with units of its own.
      class Length < Field
        # A quarter of a mile: more than anyone will wrap, little enough to draw.
        MOST = 16_000

        # @param zero [Boolean] whether nothing at all is allowed
        # @param signed [Boolean] whether it may lie the other way
        # @param most [Numeric] the largest allowed, in inches
        # @param drawn [Symbol, Array<Symbol>, nil] the kinds of lie whose pieces are the longer from their first point
        #   to their second the longer it is, or the wider about their middle: there it can be dragged out
        def initialize(name, zero: false, signed: false, most: MOST, drawn: nil, **rest)
          super(name, **rest)
          @zero = zero
          @signed = signed
          @most = most
          @drawn = Array(drawn)
        end

        # @return [Array<Symbol>]
        attr_reader :drawn

        # @return [Rational, nil] inches
        def read(value, at, reading)
          return read_signed(value, at, reading) if @signed && other_way?(value)
          inches = Measure::Length.read(value, units: reading.units)
          return reading.refuse(at, "#{label} must not be negative; #{reading.quote(value)} is.") if inches.negative?
          return reading.refuse(at, "#{label} must be more than nothing.") if inches.zero? && !@zero
          if inches > @most
            return reading.refuse(at,
              "#{label} is #{reading.quote(value)}; more than #{reading.length_text(@most)} cannot be planned.")
          end
          if inches.positive? && inches < Rational(1, 1000)
            return reading.refuse(at, "#{label} is thinner than anything a tape can show.")
          end
          reading.understood(at, inches)
        rescue Measure::Length::Unreadable
          if value.is_a?(String) && value.match?(/\A\s*[-−]\s*[\d½¼¾]/)
            return reading.refuse(at, "#{label} must not be negative; #{reading.quote(value)} is.")
          end
          reading.refuse(at,
            "#{label} must be a length such as 14, “31 1/2” or “80 cm”; #{reading.quote(value)} is none.")
        end

        private

        def other_way?(value) = value.is_a?(String) ? value.match?(/\A\s*[-−]/) : value.is_a?(Numeric) &&
          value.negative?

        def read_signed(value, at, reading)
          inches = read(value.is_a?(String) ? value.sub(/[-−]/, "") : -value, at, reading)
          inches && reading.understood(at, -inches)
        end

        def limits
          shown = drawn.map(&:to_s) if drawn.any?
          {"zero" => @zero, "most" => @most, "signed" => (true if @signed), "drawn" => shown}.compact
        end

        def declared_default = default&.to_f
      end
    end
  end
end
