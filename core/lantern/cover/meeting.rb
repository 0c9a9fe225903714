# frozen_string_literal: true

module Lantern
  module Cover
    # Coverings that lie one above the other, each over a stretch of the form's height, or one after the other along
    # the band: where two leave the form bare between them, that belongs to both, and neither is settled.
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
      def findings = one_above_the_other.merge(one_after_the_other) { |_, above, after| above + after }

      private

      def one_above_the_other
        pairs.each_with_object({}.compare_by_identity) do |(upper, lower), said|
          bare = lower.stretch.first - upper.stretch.last
          next if bare < SEEN
          (said[upper] ||= []) << finding(upper, lower, bare, upper.reaching(lower.stretch.first, :down))
          (said[lower] ||= []) << finding(lower, upper, bare, lower.reaching(upper.stretch.last, :up))
        end
      end

      # What is left bare along the band between the end of one and the beginning of the next, where that is no wider
      # than the band: a form that is covered in part is left bare for longer.
      def one_after_the_other
        {}.compare_by_identity.tap do |said|
          along.each_value do |ways|
            ways.each do |layer, way|
              follower, bare = ways.map { |other, theirs| [other, bare_after(way, theirs)] }.min_by(&:last)
              next if follower == layer || !bare.between?(SEEN, @form.face)
              (said[layer] ||= []) << finding(layer, follower, bare, reaching(follower, :from, :to))
              (said[follower] ||= []) << finding(follower, layer, bare, reaching(layer, :to, :from))
            end
          end
        end
      end

      # Those that close a part of the way, with it, by the part of the form that they are on.
      def along
        @layers.select { |layer| layer.closes && layer.said.options.values_at(:from, :to).any? }
          .map { [_1, Form::Way.of(@form, _1.said, units: @units)] }.reject { _2.full? }.group_by { _2.part }
      end

      # How far it is from where one ends on to where another begins; nothing where they overlap.
      def bare_after(way, other)
        return Float::INFINITY if way.equal?(other)
        return 0.0 if way.shared(other).positive?
        far = other.from - way.to
        return far if far >= -1e-9
        @form.closed? ? far + way.length : Float::INFINITY
      end

      # As far as the other's end is said to be.
      def reaching(other, end_of, own)
        stop = other.said.options[end_of] or return
        {own.to_s => stop.hour || Measure::Length.exact_text(stop.along, units: @units)}
      end

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
