# frozen_string_literal: true

module Lantern
  module Cover
    # Coverings that lie one above the other, each over a stretch of the form's height: where two leave the form bare
    # between them, that belongs to both, and neither is settled.
    class Meeting
      # What nobody sees from across a room, in inches (from memory).
      SEEN = 1 / 8r

      # @param layers [Array<Layer>]
      # @param form [Form::Band]
      # @param units [String]
      def initialize(layers, form, units)
        @layers, @form, @units = layers, form, units
      end

      # @return [Hash{Layer=>Array<Plan::Finding>}] of those that have something said, by themselves
      def findings
        pairs.each_with_object({}.compare_by_identity) do |(upper, lower), said|
          bare = lower.stretch.first - upper.stretch.last
          next if bare < SEEN
          (said[upper] ||= []) << finding(upper, lower, bare, upper.reaching(lower.stretch.first, :down))
          (said[lower] ||= []) << finding(lower, upper, bare, lower.reaching(upper.stretch.last, :up))
        end
      end

      private

      # Those that follow on one another from the top down; one that lies within another meets it.
      def pairs
        across = @layers.select { _1.respond_to?(:stretch) }.sort_by { _1.stretch.first }
        reaching = []
        across.each_cons(2).map do |upper, lower|
          lowest = (reaching << upper).max_by { _1.stretch.last }
          [lowest, lower]
        end
      end

      def finding(layer, other, bare, try)
        Plan::Finding.new(level: :warn, code: "bare_between", at: "outside", try:,
          says: "Between this and the #{other.class.title.downcase} #{Measure::Length.text(bare, units: @units)} of " \
            "the form stay bare: let the two meet.")
      end
    end
  end
end
