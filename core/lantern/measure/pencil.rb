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
        def work(text) = new(tokens(text)).worked

        # @param text [String]
        # @return [Array<String, Float>] its signs and numbers, in their order
        def tokens(text)
          text.scan(TOKEN).map { |token| token.match?(/\A\d/) ? read(token) : SAME.fetch(token, token) }
        end

        private

        def read(number)
          return number.to_f unless number.include?("/")
          whole, _, part = number.rpartition(" ")
          above, below = part.split("/")
          whole.to_f + above.to_f / below.to_f
        end
      end

      # @param tokens [Array<String, Float>]
      def initialize(tokens)
        @tokens = tokens
      end

      def worked
        value = rounded(sum)
        @tokens.empty? ? value : raise(Unclear, @tokens.join(" "))
      end

      private

      def rounded(value)
        case @tokens.first
        when "rounded up" then @tokens.shift && (value - 1e-9).ceil.to_f
        when "rounded down" then @tokens.shift && (value + 1e-9).floor.to_f
        else value
        end
      end

      def sum
        value = product
        while ["+", "−"].include?(@tokens.first)
          sign = (@tokens.shift == "+") ? 1 : -1
          # "54 + 5 %" is five hundredths of the 54.
          value += sign * (lone_share? ? value : 1) * product
        end
        value
      end

      def lone_share? = @tokens[1] == "%" && !["×", "÷"].include?(@tokens[2])

      def product
        value = power
        while ["×", "÷"].include?(@tokens.first)
          (@tokens.shift == "×") ? value *= power : value /= power
        end
        value
      end

      def power
        return Math.sqrt(power) if @tokens.first == "√" && @tokens.shift
        value = plain
        value **= 2 if @tokens.first == "²" && @tokens.shift
        (@tokens.first == "%" && @tokens.shift) ? value / 100 : value
      end

      def plain
        token = @tokens.shift
        return token if token.is_a?(Float)
        return PARTS[token] if PARTS.key?(token)
        raise Unclear, token.to_s unless token == "("
        value = rounded(sum)
        (@tokens.shift == ")") ? value : raise(Unclear, "(")
      end
    end
  end
end
