# frozen_string_literal: true

module Lantern
  module Ask
    # A plan that may still be in the middle of being typed: worked, or else its problems, which are an answer too.
    module Try
      # @param plan [Hash] a plan document
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(plan) = {"worked" => Lantern.work(plan), "problems" => []}
    end
  end
end
