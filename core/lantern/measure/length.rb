# frozen_string_literal: true

module Lantern
  module Measure
    # Lengths as people write and read them. Inside the core a length is always in inches: a
    # Rational where it was typed or is to be cut, a Float where geometry made it.
    module Length
      # Raised when what was written is not a length.
      Unreadable = Class.new(StandardError)

      # How many inches there are in one of each unit, exactly: an inch is 25.4 mm.
      # Source: international yard and pound agreement (1959).
      IN = {"in" => 1r, "ft" => 12r, "yd" => 36r, "mm" => Rational(5, 127), "cm" => Rational(50, 127),
            "m" => Rational(5000, 127)}.freeze

      NAMES = {
        "in" => "in", "inch" => "in", "inches" => "in", "\"" => "in", "″" => "in", "”" => "in", "''" => "in",
        "ft" => "ft", "foot" => "ft", "feet" => "ft", "'" => "ft", "′" => "ft", "’" => "ft",
        "yd" => "yd", "yds" => "yd", "yard" => "yd", "yards" => "yd",
        "mm" => "mm", "cm" => "cm", "m" => "m", "metre" => "m", "metres" => "m", "meter" => "m", "meters" => "m"
      }.freeze

      VULGAR = {"½" => "1/2", "⅓" => "1/3", "⅔" => "2/3", "¼" => "1/4", "¾" => "3/4", "⅕" => "1/5", "⅖" => "2/5",
                "⅗" => "3/5", "⅘" => "4/5", "⅙" => "1/6", "⅚" => "5/6", "⅛" => "1/8", "⅜" => "3/8", "⅝" => "5/8",
                "⅞" => "7/8"}.freeze

      SIXTEENTHS = Array.new(16) { Rational(_1, 16).to_s }.freeze

      MIXED = %r{(?<whole>\d+)[\s-]+(?<above>\d+)\s*/\s*(?<below>\d+)}
      FRACTION = %r{(?<over>\d+)\s*/\s*(?<under>\d+)}
      AMOUNT = /#{MIXED}|#{FRACTION}|(?<plain>\d+(?:[.,]\d+)?|[.,]\d+)/
      UNIT = /''|["'″”′’]|[a-z]+/
      TERM = /\A(?<amount>#{AMOUNT})\s*(?<unit>#{UNIT})?\.?(?:\s*,?\s*(?:and\s+)?)/

      module_function

      # Reads a number in `units`, or a text that may carry its own units.
      #
      #   Length.read(14, units: "in")            # => (14/1)
      #   Length.read("2 1/2 yd", units: "in")    # => (90/1)
      #   Length.read("1' 6\"", units: "cm")      # => (18/1)
      #
      # @return [Rational] inches
      # @raise [Unreadable] when it is neither
      def read(value, units:)
        case value
        when Integer then Rational(value) * IN.fetch(units)
        when Float
          raise Unreadable, "not a number" unless value.finite?
          Rational(value.to_s) * IN.fetch(units)
        when Rational then value * IN.fetch(units)
        when String then read_text(value, units)
        else raise Unreadable, "neither a number nor a text"
        end
      end

      # Whether a text names its own units, and so means the same in every plan.
      def carries_units?(text) = text.match?(/["″”'′’[:alpha:]]/)

      # A length as it would be said at the bench: to the nearest 1/16 in, or the nearest millimetre.
      #
      #   Length.text(31.52, units: "in")   # => "31 1/2 in"
      #   Length.text(80, units: "cm")      # => "203.2 cm"
      def text(inches, units:, unit: true)
        figure = (units == "cm") ? decimal(inches / IN["cm"], 1) : fraction(inches)
        unit ? "#{figure} #{units}" : figure
      end

      # A length as it was understood: a fraction where it is one of the tape's, else a decimal.
      #
      #   Length.exact_text(0.3125, units: "in")   # => "5/16 in"
      #   Length.exact_text(0.12, units: "in")     # => "0.12 in"
      #   Length.exact_text(120, units: "in")      # => "10 ft"
      def exact_text(inches, units:)
        large, name, few = (units == "cm") ? [IN["m"], "m", 3] : [IN["ft"], "ft", 4]
        return "#{(inches / large).to_i} #{name}" if inches >= few * large && (inches % large).zero?
        return text(inches, units:) if (units == "cm") ? (inches / IN["cm"] * 10 % 1).zero? : (inches * 16 % 1).zero?
        "#{decimal(inches / IN.fetch(units), 3)} #{units}"
      end

      # A length in its plan's units without their name, as exactly as it is: a fraction where it is one of the
      # tape's, else a decimal.
      #
      #   Length.figure(3.3, units: "in")   # => "3.3"
      #   Length.figure(3.5, units: "in")   # => "3 1/2"
      def figure(inches, units:, places: 5)
        marks = inches * ((units == "cm") ? 25.4r : 16)
        return text(inches, units:, unit: false) if (marks - marks.round).abs < 1e-7
        decimal(inches / IN.fetch(units), places)
      end

      # A long length of material: feet and inches from two feet up, metres from two metres up.
      #
      #   Length.long_text(726.6, units: "in")   # => "60 ft 7 in"
      def long_text(inches, units:)
        if units == "cm"
          cm = inches / IN["cm"]
          return (cm >= 200) ? "#{decimal(cm / 100, 2)} m" : text(inches, units:)
        end
        return text(inches, units:) if inches < 24
        feet, rest = inches.round.divmod(12)
        rest.zero? ? "#{feet} ft" : "#{feet} ft #{rest} in"
      end

      # Up to the next whole mark of the maker's tape, so that nothing is cut short. A length that
      # is a mark already, but for the last bits of a float, stays what it is.
      # @return [Rational] inches
      def up_to_mark(inches, mark)
        ((inches.to_r / mark) - Rational(1, 10**7)).ceil * mark
      end

      # @return [Numeric] the number that stands for this many inches in a document's own units
      def in_units(inches, units)
        number = ((units == "in") ? inches : inches / IN.fetch(units)).to_f.round(4)
        (number == number.to_i && number.abs < 1e15) ? number.to_i : number
      end

      # @return [Float] the number of square units that stands for so many square inches
      def square_in_units(square_inches, units) = (square_inches / IN.fetch(units)**2).to_f.round(4)

      def read_text(text, units)
        rest = text.gsub(/[#{VULGAR.keys.join}]/) { " #{VULGAR[_1]}" }.tr("⁄", "/").strip.downcase
        raise Unreadable, "empty" if rest.empty?
        raise Unreadable, "too long" if rest.length > 40
        total = 0r
        smallest = nil
        until rest.empty?
          term = TERM.match(rest) or raise Unreadable, "unclear"
          unit = term[:unit] ? NAMES[term[:unit]] : units
          raise Unreadable, "unknown unit #{term[:unit]}" unless unit
          raise Unreadable, "mixed" if smallest && IN[unit] >= smallest
          total += amount(term) * IN[unit]
          smallest = IN[unit]
          rest = term.post_match
        end
        total
      end

      def amount(term)
        below = (term[:below] || term[:under])&.to_i
        raise Unreadable, "a fraction over nothing" if below&.zero?
        if term[:whole] then term[:whole].to_i + Rational(term[:above].to_i, below)
        elsif term[:over] then Rational(term[:over].to_i, below)
        else Rational(term[:plain].tr(",", ".").sub(/\A\./, "0."))
        end
      end

      def fraction(inches)
        whole, part = (inches * 16).round.divmod(16)
        return whole.to_s if part.zero?
        whole.zero? ? SIXTEENTHS[part] : "#{whole} #{SIXTEENTHS[part]}"
      end

      def decimal(number, places)
        format("%.#{places}f", number.to_f).sub(/\.?0+\z/, "")
      end

      private_class_method :read_text, :amount
    end
  end
end
