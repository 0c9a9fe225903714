# frozen_string_literal: true

module Lantern
  module Ask
    # What a plan costs and how long it takes, and nothing else of it: for what a change would do to both.
    module Totals
      # @param plan [Hash] a plan document
      # @param cache [#fetch] of what was worked out before, of plans of the same workshop
      # @return [Hash] ready for JSON: what there is `to_buy`, as the plan's money, and `minutes`, whole ones
      # @raise [Plan::Refused]
      def self.answer(plan, cache: Cache::None)
        work = Work.read(plan, cache:)
        work.bill.to_h.slice("to_buy").merge("minutes" => work.course.minutes.round)
      end
    end
  end
end
