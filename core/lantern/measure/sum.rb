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
      private_constant :MOST

      # @param answer [String] as it is shown
      # @return [String] the least exact way of showing it that gives the answer
      def beside(answer)
        (1..MOST).each do |places|
          text = shown(places)
          return text if comes_to?(text, answer)
        end
        shown(1)
      end

      private

      def shown(places)
        number = -1
        pattern.gsub(/%[lanp]/) { |kind| one(kind, values[number += 1], places) }
      end

      def one(kind, value, places)
        return value.to_s if value.is_a?(Integer) && kind == "%n"
        return "#{decimal(value * 100, places - 1)} %" if kind == "%p"
        return decimal(value, [places + 1, 2].max) if kind == "%n"
        return decimal(Length.square_in_units(value, units), places - 1) if kind == "%a"
        return Length.text(value, units:, unit: false) if places == 1
        Length.figure(value, units:, places:)
      end

      def decimal(number, places) = Words.short(number.to_f.round(places).to_f)

      def comes_to?(shown, answer)
        value = Pencil.work(shown)
        case answer
        when / sq / then [1, 0].any? { answer == "#{Words.short(value.round(_1))} sq #{units}" }
        when / (?:in|ft|cm|m)\z/ then length?(value * Length::IN.fetch(units), shown, answer)
        when /%\z/ then answer == "#{Words.short((value * 100).round(1))} %"
        else answer.match?(/\A#{plain(value)}(?:, | |\z)/)
        end
      rescue Pencil::Unclear
        false
      end

      def length?(inches, shown, answer)
        inches = Length.up_to_mark(inches, mark) if shown.end_with?("up to the mark")
        answer == Length.text(inches, units:) || answer == Length.long_text(inches, units:)
      end

      # A whole number as it is written; nobody answers anything else by halves.
      def plain(value) = ((value - value.round).abs < 1e-6) ? value.round : "none"
    end
  end
end
