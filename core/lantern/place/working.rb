# frozen_string_literal: true

module Lantern
  module Place
    # One line of a sum: what it is, the sum in the maker's own numbers, and the answer. Screens find a line
    # by its key.
    Working = Value.define(:key, :says, :sum, :answer) do
      def to_h = {"key" => key.to_s, "says" => says, "sum" => sum, "answer" => answer}
    end
  end
end
