# frozen_string_literal: true

module Lantern
  module Cover
    # One line of a sum: what it is, the sum in the maker's own numbers, and the answer.
    Working = Value.define(:says, :sum, :answer) do
      def to_h = {"says" => says, "sum" => sum, "answer" => answer}
    end
  end
end
