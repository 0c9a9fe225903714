# frozen_string_literal: true

module Lantern
  module Plan
    # A judgement on a plan, with its reason. `level` is :stop (cannot be made so), :warn or :note;
    # `at` the place it is about, in the document or on the drawing; `try` the options that mend it, `add` the layer
    # that does.
    Finding = Value.define(:level, :code, :says, :at, :try, :add) do
      def initialize(level:, code:, says:, at: nil, try: nil, add: nil) = super

      def to_h = {"level" => level.to_s, "code" => code, "says" => says, "at" => at,
                  "try" => try&.transform_keys(&:to_s), "add" => add&.transform_keys(&:to_s)}.compact
    end
  end
end
