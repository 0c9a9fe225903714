# frozen_string_literal: true

module Lantern
  module Ask
    # What follows from where the strips of a plan lie: how much of the form they hide, where it shows, what is to be
    # said of that, and which stages it leaves to be settled. Together with what {Try} answers it is the worked plan.
    module Coverage
      # @param plan [Hash] a plan document
      # @param cache [#fetch] of what was worked out before, of plans of the same workshop
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(plan, cache: Cache::None) = Answer::Coverage.new(Work.read(plan, cache:)).to_h
    end
  end
end
