# frozen_string_literal: true

module Lantern
  module Ask
    # A plan that may still be in the middle of being typed: what typing changes first, or else its problems, which are
    # an answer too. What follows from where the strips lie is asked beside it ({Coverage}).
    module Try
      # @param plan [Hash] a plan document
      # @param cache [#fetch] of what was worked out before, of plans of the same workshop
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(plan, cache: Cache::None)
        {"worked" => Answer::Worked.new(Work.read(plan, cache:)).first, "problems" => []}
      end
    end
  end
end
