# frozen_string_literal: true

require_relative "aside"
require_relative "heavy"

module Server
  # Who asks the core: small plans are worked where they arrive, everything heavier aside and within its time.
  class Answers
    # Seconds of the processor for a plan, and for what works many plans or draws pages.
    PLAN = 2
    MANY = 10
    WITHIN = Hash.new(MANY).merge(%i[work advised check bare templates finish_form summary].to_h { [_1, PLAN] }).freeze
    # What works one plan, and is done where it arrives when that is small.
    ONE_PLAN = %i[work advised summary check cutting bare templates finish_form finished].freeze

    # @param aside [Aside, nil] nil where there are no workers: then everything is answered where it arrives
    # @param within [Hash{Symbol=>Numeric}] other times than {WITHIN}, in seconds
    def initialize(aside = nil, within: {})
      @aside, @within = aside, WITHIN.merge(within)
      @within.default = within.default || WITHIN.default
    end

    # @param errand [Symbol] one of {Aside::Errands}
    # @param asker [IO, nil] the connection of whoever asks
    # @raise [Lantern::Plan::Refused] when it cannot be, or when there was not time enough
    # @raise [Aside::Busy, Aside::Gone, Aside::Failed]
    def call(errand, *given, asker: nil)
      return Aside::Errands.call(errand, *given) if @aside.nil? || here?(errand, given.first)
      @aside.call(errand, *given, within: @within[errand], asker:)
    rescue Aside::Overdue
      # What a wise friend would say is left out rather than the plan.
      return call(:work, *given, asker:) if errand == :advised
      raise Lantern::Plan::Refused.new([Heavy.new(given.first).problem(@within[errand])])
    end

    private

    def here?(errand, document) = ONE_PLAN.include?(errand) && Heavy.new(document).small?
  end
end
