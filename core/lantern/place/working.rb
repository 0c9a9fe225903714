# frozen_string_literal: true

module Lantern
  module Place
    # One line of a sum: what it is, the sum in the maker's own numbers, and the answer. Screens find a line
    # by its key. A sum with its numbers ({Measure::Sum}) is shown as exactly as its answer needs.
    Working = Value.define(:key, :says, :sum, :answer) do
      # @return [String]
      def sum = super.then { _1.is_a?(Measure::Sum) ? _1.beside(answer) : _1 }

      def to_h = {"key" => key.to_s, "says" => says, "sum" => sum, "answer" => answer}
    end
  end
end
