# frozen_string_literal: true

module Trial
  # Works out again every sum that a worked plan shows, from the signs that stand there and nothing else, with two piles
  # (numbers, signs) as Dijkstra's shunting yard has it. Shares no code with the core.
  class ByPencil
    FIRST = {"+" => 1, "−" => 1, "×" => 2, "÷" => 2, "√" => 3, "(" => 0}.freeze
    KNOWN = {"½" => 0.5, "¾" => 0.75, "¼" => 0.25, "π" => Math::PI}.freeze
    # What may be read two ways, or is said to be nearly so.
    NEARLY = /where the shape|(?:longer|short) over the corners|altogether|as you said|in turn|from lengths/

    class << self
      # @param worked [Hash]
      # @param mark [Numeric] what cut lengths are rounded up to, in the plan's units
      # @return [Array<String>] the lines that do not come out
      def wrong(worked, mark:)
        lines(worked).reject { right?(_1["sum"], _1["answer"], mark.to_f) }
          .map { "#{_1["says"]}: #{_1["sum"]} = #{_1["answer"]}" }
      end

      # Every line that is a sum; the others say where an answer comes from.
      def lines(value)
        case value
        when Hash
          sum = value["sum"].is_a?(String) && value["sum"].match?(/\d.*[×÷√−+]|√/) && !value["sum"].match?(NEARLY)
          (sum ? [value] : []) + value.values.flat_map { lines(_1) }
        when Array then value.flat_map { lines(_1) }
        else []
        end
      end

      def right?(sum, answer, mark)
        shown, doubt = read(answer)
        # "20 ÷ 2; 4 × 6 each", "80 coils fit; 13 × 6": one of them is the sum.
        sum.split("; ").any? do |part|
          more = shown - new(part).worked
          part.end_with?("up to the mark") ? more.between?(-doubt - 1e-6, mark + doubt) : more.abs <= doubt + 1e-6
        end
      end

      # @return [(Float, Float)] what an answer says, and half its last digit
      def read(answer)
        case answer
        when /\A(\d+) ft(?: (\d+) in)?\z/ then [($1.to_i * 12 + $2.to_i).to_f, 0.5]
        when /\A(\d+(?:\.\d+)?) m\z/ then [$1.to_f * 100, 0.5]
        when /\A(−|-)?\D?(\d+\.\d\d)\z/ then [($1) ? -$2.to_f : $2.to_f, 0.005]
        when %r{\A(?:(\d+) )?(\d+)/(\d+) in\z} then [$1.to_i + $2.to_f / $3.to_i, 1 / 32.0]
        when /\A(\d+) in\z/ then [$1.to_f, 1 / 32.0]
        when /\A(-?\d+(?:\.(\d+))?) %/ then [$1.to_f / 100, 0.005 / 10**($2 || "").size]
        when /\A(\d+(?:\.\d)?) cm/ then [$1.to_f, 0.05]
        when /\A(\d+(?:\.(\d+))?) sq/ then [$1.to_f, 0.5 / 10**($2 || "").size]
        when /\A(\d+)/ then [$1.to_f, 0]
        else raise "no number: #{answer}"
        end
      end
    end

    def initialize(text)
      @text = text.sub(/, up to the mark\z/, "")
      @numbers, @signs = [], []
    end

    def worked
      @text.scan(%r{\d+ \d+/\d+|\d+/\d+|\d+(?:\.\d+)?(?: %)?|[½¾¼π²√()×÷+−]|\bof\b|\bless\b|rounded (?:up|down)}) {
        take(_1)
      }
      settle
      @numbers.one? ? @numbers.first : raise(ArgumentError)
    rescue ArgumentError, NoMethodError
      raise "no sum: #{@text}"
    end

    private

    def take(token)
      case token
      when /%\z/ then share(token.to_f / 100)
      when /\A\d/ then @numbers << token.split.sum { Rational(_1) }.to_f
      when "²" then @numbers << @numbers.pop**2
      when "(", "√" then @signs << token
      when ")" then close
      when "rounded up" then settle && @numbers << (@numbers.pop - 1e-9).ceil
      when "rounded down" then settle && @numbers << (@numbers.pop + 1e-9).floor
      when "of" then sign("×")
      when "less" then sign("−")
      else KNOWN.key?(token) ? @numbers << KNOWN[token] : sign(token)
      end
    end

    # "54 + 5 %" is 54 and five hundredths of it; "7 % of 54" and "× 8 %" are hundredths.
    def share(part)
      return @numbers << part unless @signs.last == "+"
      @signs.pop
      @numbers << @numbers.pop * (1 + part)
    end

    def close
      settle
      @signs.pop
      return unless @signs.last == "√"
      @signs.pop
      @numbers << Math.sqrt(@numbers.pop)
    end

    def sign(token)
      apply while @signs.any? && FIRST.fetch(@signs.last) >= FIRST.fetch(token)
      @signs << token
    end

    # Everything back to the open bracket.
    def settle
      apply while @signs.any? && @signs.last != "("
      true
    end

    def apply
      right, left = @numbers.pop, @numbers.pop
      @numbers << case @signs.pop
      when "+" then left + right
      when "−" then left - right
      when "×" then left * right
      when "÷" then left / right
      end
    end
  end
end
