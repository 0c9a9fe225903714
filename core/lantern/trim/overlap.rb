# frozen_string_literal: true

module Lantern
  module Trim
    # What things fixed on a wreath hide of one another, seen from the front. What is laid on something on purpose is to
    # leave some of it to be seen; everything else is to know what it hangs over.
    class Overlap
      # Hidden by so much, a thing might as well not be there (from memory).
      MOST = 0.9
      MUCH = 0.6
      # A thing that hangs in the opening, or has words on it, is to be seen whole: so much of it nobody misses.
      LITTLE = 0.1

      # @param layers [Array<Layer>] in the order of the hands: the later lies over the earlier
      # @yieldparam layer [Layer]
      # @yieldreturn [Draw::Rows] what of the front it hides
      def initialize(layers, &hidden)
        @layers = layers.select { _1.is_a?(Placed) && _1.in_place.any? { |lie| lie.front.any? } }
        @hidden = hidden
        @boxes, @rows = {}.compare_by_identity, {}.compare_by_identity
      end

      # @return [Hash{Layer=>Array<Plan::Finding>}] of those that hide something, by themselves
      def findings
        @findings ||= @layers.combination(2).each_with_object({}.compare_by_identity) do |(under, over), said|
          next if over.hiding? || over.faults.intersect?(%w[same_place hides_beneath]) || far?(under, over)
          found = finding(under, over, share(under, over)) or next
          (said[over] ||= []) << found
        end
      end

      # Whether there is another that it could hide, or be hidden by.
      def about?(layer) = @layers.size > 1 && @layers.include?(layer)

      private

      # Whether too little of the room that one takes is also the other's.
      def far?(under, over)
        (left, top, right, bottom), (from, high, to, low) = [under, over].map { box(_1) }
        wide, long = [right, to].min - [left, from].max, [bottom, low].min - [top, high].max
        return true unless wide.positive? && long.positive?
        wide * long < (whole?(under) ? LITTLE : MUCH) * (right - left) * (bottom - top)
      end

      def box(layer)
        @boxes[layer] ||= layer.in_place.select { _1.front.any? }.filter_map(&:box).transpose
          .then { |left, top, right, bottom| [left.min, top.min, right.max, bottom.max] }
      end

      # How much of one thing another hides.
      def share(under, over)
        whole = rows(under)
        whole.area.zero? ? 0.0 : 1 - whole.less(rows(over)).area / whole.area
      end

      def rows(layer) = @rows[layer] ||= @hidden.call(layer)

      def finding(under, over, share)
        if Array(over.on).include?(under.id)
          # A bow on a bow has a measure of its own.
          return if share < MOST || [under, over].all?(Bow)
          said(:warn, "hides_beneath",
            "It hides the #{name(under)} beneath it: make it smaller, and every layer shows.")
        elsif share >= MUCH
          said(:warn, "hides", "It hides #{parts(share)} of the #{name(under)}#{at(under)}: move one of them.")
        elsif share >= LITTLE && whole?(under)
          said(:note, "hangs_over", "It hangs over the #{name(under)}#{at(under)} and hides #{parts(share)} of it.")
        end
      end

      def said(level, code, says) = Plan::Finding.new(level:, code:, says:)

      def whole?(layer) = layer.at == :middle || layer.in_place.any? { !_1.words.to_s.empty? }

      def name(layer) = layer.respond_to?(:called) ? layer.called : layer.said.kind.called(layer.said.options)

      def at(layer) = layer.at.is_a?(Numeric) ? " at #{Form::Clock.text(layer.at)}" : ""

      # As somebody would say it who looks: by tenths.
      def parts(share) = (share > 0.95) ? "all" : "about #{(share * 10).round} tenths"
    end
  end
end
