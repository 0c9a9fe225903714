# frozen_string_literal: true

module Lantern
  module Measure
    # A sum with its numbers, to be shown so that it comes out by pencil: each to the nearest sixteenth or millimetre
    # where that gives the answer that stands beside it, else as many decimals as it takes.
    #
    #   sum = Sum.new(pattern: "%l ÷ %l, rounded down", values: [25.1327, 5 / 16r], units: "in", mark: 1 / 8r)
    #   sum.beside("80")   # => "25 1/8 ÷ 5/16, rounded down"
    #   sum = sum.with(values: [25.1327, 1 / 10r])
    #   sum.beside("251")  # => "25.13 ÷ 0.1, rounded down"
    #
    # In its pattern %l is a length, %a an area, %n a number and %p a share in hundredths.
    Sum = Value.define(:pattern, :values, :units, :mark)

    class Sum
      # Decimals: a float's own doubt is not far beyond them.
      MOST = 7
      PATTERNS = 500
      PLACE = /%[lanp]/
      LENGTHS = [" in", " ft", " cm", " m"].freeze
      INCHES = Length::IN.transform_values(&:to_f).freeze
      private_constant :MOST, :PATTERNS, :PLACE, :LENGTHS, :INCHES

      # Of every pattern how it is worked, and what of it stands between its numbers; as many as there are ways to write
      # a sum.
      @patterns = {}

      class << self
        # @return [(Proc, Array<String>, Array<String>)] nothing of a pattern that is no sum
        def of(pattern)
          @patterns.clear if @patterns.size > PATTERNS
          @patterns[pattern] ||= [way(pattern), pattern.scan(PLACE), pattern.split(PLACE, -1)].freeze
        end

        private

        def way(pattern)
          Pencil.new(pattern.gsub("%p", "%p %")).way
        rescue Pencil::Unclear
          nil
        end
      end

      # @param answer [String] as it is shown
      # @return [String] the least exact way of showing it that gives the answer
      def beside(answer) = shown((1..MOST).find { comes_to?(_1, answer) } || 1)

      private

      def shown(places)
        _, kinds, between = Sum.of(pattern)
        text = between.first.dup
        kinds.each_index { |i| text << written(kinds[i], values[i], places) << between[i + 1] }
        text
      end

      def written(kind, value, places)
        case kind
        when "%l"
          return Length.text(value.to_f, units:, unit: false) if places == 1
          Length.figure(value, units:, places:)
        when "%p" then "#{Words.short(rounded(kind, value, places) * 100)} %"
        else value.is_a?(Integer) ? value.to_s : Words.short(rounded(kind, value, places))
        end
      end

      # The number as it is written there.
      def rounded(kind, value, places)
        case kind
        when "%l" then round_length(value.to_f, places)
        when "%n" then value.to_f.round([places + 1, 2].max)
        when "%a" then Length.square_in_units(value, units).round(places - 1).to_f
        else (value * 100).to_f.round(places - 1) / 100.0
        end
      end

      def round_length(inches, places)
        marks = (units == "in") ? 16 : 25.4
        return (inches * marks).round / 16.0 if units == "in" && places == 1
        own = inches / INCHES.fetch(units)
        (((inches * marks).round - inches * marks).abs < 1e-7) ? own : format("%.#{places}f", own).to_f
      end

      def comes_to?(places, answer)
        way, kinds, = Sum.of(pattern)
        return false unless way
        value = way.call(Array.new(kinds.size) { read_there(kinds[_1], values[_1], places) })
        return false unless value.finite?
        return [1, 0].any? { answer == "#{Words.short(value.round(_1))} sq #{units}" } if answer.include?(" sq ")
        return length?(value * INCHES.fetch(units), answer) if answer.end_with?(*LENGTHS)
        return answer == "#{Words.short((value * 100).round(1))} %" if answer.end_with?("%")
        plain?(value, answer)
      rescue FloatDomainError
        # With so few decimals it is divided by nought.
        false
      end

      # The number that whoever reads it there works on with: 7 of "7 %".
      def read_there(kind, value, places) = rounded(kind, value, places) * ((kind == "%p") ? 100 : 1)

      def length?(inches, answer)
        inches = Length.up_to_mark(inches, mark) if pattern.end_with?("up to the mark")
        return answer == Length.long_text(inches, units:) if answer.end_with?(" ft", " m") || answer.include?(" ft ")
        answer == Length.text(inches, units:)
      end

      # A whole number as it is written, whatever is said after it; nobody answers anything else by halves.
      def plain?(value, answer)
        whole = value.round
        said = whole.to_s
        (value - whole).abs < 1e-6 && answer.start_with?(said) && [nil, " ", ","].include?(answer[said.size])
      end
    end
  end
end
