# frozen_string_literal: true

module Lantern
  module Ask
    # How much of the form still shows under a plan's covering, looked at place by place.
    module Bare
      # @param plan [Hash] a plan document
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(plan) = Lantern.bare(plan)
    end
  end
end
