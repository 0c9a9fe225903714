# frozen_string_literal: true

module Lantern
  class Layer
    # One option that can be worked backwards: whether `:more` of it takes more material or `:less`, what is
    # looked for (`says`, as in "The widest lap"), and the method that answers its largest value (`most`; else
    # three times what it is).
    Vary = Value.define(:option, :takes, :says, :unit, :most)

    class Vary
      # Steps of a tape that are tried, in inches.
      STEP = Rational(1, 8)

      # More than so many of anything, or so many lengths, are not tried.
      MOST_TRIED = 120
      MOST_LENGTHS = 2000

      # @param layer [Layer]
      # @return [Array<Numeric>] values to try, rising
      def steps(layer)
        now = layer.public_send(option)
        return (1..most_of(layer)).to_a if now.is_a?(Integer)
        top = [(most ? layer.public_send(most) : now * 3), STEP].max
        (0..(top / STEP).floor).map { _1 * STEP }.select { _1.positive? || now.zero? }.last(MOST_LENGTHS)
      end

      private

      # The most that the option may be, but no more than anybody would try.
      def most_of(layer) = [layer.class.options.find { _1.name == option }.declare["most"], MOST_TRIED].min
    end
  end
end
