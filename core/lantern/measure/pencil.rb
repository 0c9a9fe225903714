# frozen_string_literal: true

module Lantern
  module Measure
    # Reads a sum as it is shown and works it out, as a maker would who checks it with a pencil: numbers and
    # fractions, + − × ÷, √, ², π, brackets, "+ 5 %", "7 % of 54", "less 3", "rounded up" and "rounded down". Other
    # words only say what a number is.
    #
    #   Pencil.work("34 9/16 ÷ 1 13/16, rounded up")    # => 20.0
    #   Pencil.work("√(3² + 4²) + 50 %")                # => 7.5
    class Pencil
      # Raised for what is no sum.
      Unclear = Class.new(StandardError)

      PARTS = {"½" => 0.5, "¼" => 0.25, "¾" => 0.75, "⅓" => 1 / 3.0, "⅔" => 2 / 3.0, "π" => Math::PI}.freeze
      SAME = {"less" => "−", "-" => "−", "of" => "×"}.freeze
      # "7 % of 54" is a product, "a pack of 54" is not.
      # A place for a number that is still to come, as in {Sum}, stands for itself.
      TOKEN = %r{%[lanp]|\d+ \d+/\d+|\d+/\d+|\d+(?:\.\d+)?|[½¼¾⅓⅔π+−×÷√²()%-]|rounded (?:up|down)|\bless\b|(?<=% )of\b}
      private_constant :PARTS, :SAME, :TOKEN

      class << self
        # @param text [String]
        # @return [Float] in whatever units the numbers stand
        # @raise [Unclear]
        def work(text) = new(text).way.call([])

        # @param number [String] a whole number, a fraction, a mixed one or a decimal
        # @return [Float]
        def read(number)
          return number.to_f unless number.include?("/")
          whole, _, part = number.rpartition(" ")
          above, below = part.split("/")
          whole.to_f + above.to_f / below.to_f
        end
      end

      def initialize(text)
        @tokens = text.scan(TOKEN).map { SAME.fetch(_1, _1) }
        @places = -1
      end

      # The sum as a way from the numbers that are still to come, in their order, to its answer.
      # @return [Proc]
      # @raise [Unclear]
      def way
        found = rounded(sum)
        @tokens.empty? ? found : raise(Unclear, @tokens.join(" "))
      end

      private

      def rounded(way)
        case @tokens.first
        when "rounded up" then @tokens.shift && ->(given) { (way.call(given) - 1e-9).ceil.to_f }
        when "rounded down" then @tokens.shift && ->(given) { (way.call(given) + 1e-9).floor.to_f }
        else way
        end
      end

      def sum
        way = product
        while ["+", "−"].include?(@tokens.first)
          sign = (@tokens.shift == "+") ? 1 : -1
          way = lone_share? ? with_share(way, sign, product) : added(way, sign, product)
        end
        way
      end

      def added(way, sign, more) = ->(given) { way.call(given) + sign * more.call(given) }

      # "54 + 5 %" is five hundredths of the 54.
      def with_share(way, sign, share) = ->(given) { way.call(given).then { _1 + sign * _1 * share.call(given) } }

      def lone_share? = @tokens[1] == "%" && !["×", "÷"].include?(@tokens[2])

      def product
        way = power
        while ["×", "÷"].include?(@tokens.first)
          way = (@tokens.shift == "×") ? times(way, power) : over(way, power)
        end
        way
      end

      def times(way, other) = ->(given) { way.call(given) * other.call(given) }

      def over(way, other) = ->(given) { way.call(given) / other.call(given) }

      def power
        if @tokens.first == "√" && @tokens.shift
          root = power
          return ->(given) { Math.sqrt(root.call(given)) }
        end
        way = plain
        if @tokens.first == "²" && @tokens.shift
          base = way
          way = ->(given) { base.call(given)**2 }
        end
        return way unless @tokens.first == "%" && @tokens.shift
        ->(given) { way.call(given) / 100 }
      end

      def plain
        token = @tokens.shift.to_s
        return place if token.match?(/\A%[lanp]/)
        return constant(Pencil.read(token)) if token.match?(/\A\d/)
        return constant(PARTS[token]) if PARTS.key?(token)
        raise Unclear, token unless token == "("
        way = rounded(sum)
        (@tokens.shift == ")") ? way : raise(Unclear, "(")
      end

      def constant(number) = ->(_) { number }

      def place
        number = @places += 1
        ->(given) { given[number] }
      end
    end
  end
end
