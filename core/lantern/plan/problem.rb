# frozen_string_literal: true

module Lantern
  module Plan
    # One thing that keeps a plan from being worked: where in the document, and what about it, in
    # a sentence for the maker.
    Problem = Value.define(:at, :says) do
      def to_h = {"at" => at, "says" => says}
    end
  end
end
