# frozen_string_literal: true

module Lantern
  module Ask
    # The same plan in the other units.
    module Units
      # @param asked [Hash] a `plan`, and the units `to` which it is changed
      # @return [Hash] a plan document
      # @raise [Plan::Refused]
      def self.answer(asked) = Plan::Units.change(asked["plan"], to: asked["to"])
    end
  end
end
