# frozen_string_literal: true

module Lantern
  module Bench
    # In which order the layers are made: each when its turn is ({Layer#turn}), but after what it needs first
    # ({Layer#needs_first}); those that need nothing of one another as the plan has them. And why.
    class Order
      # Why a turn comes after those before it (common practice).
      TURNS = {
        beneath: nil, covering: "what hides beneath it comes first", over: "it sits on the covering",
        hanging: "it is fitted at the end", back: "it hides what shows behind"
      }.freeze
      NEXT = "as your plan has them"
      private_constant :NEXT

      # @param layers [Array<Layer>] in the plan's order
      def initialize(layers)
        @given = layers
      end

      # @return [Array<Layer>] in the order of the hands
      def layers
        @layers ||= begin
          waiting = @given.sort_by.with_index { |layer, i| [turn(layer), i] }
          (@given.none? { _1.needs_first.any? }) ? waiting : in_turn(waiting)
        end
      end

      # What each comes after, and why.
      # @param layer [Layer]
      # @return [Array<(Layer, String)>]
      def reasons(layer)
        needed = first_of(layer).to_a
        needed.empty? ? [by_turn(layer)].compact : needed
      end

      private

      def turn(layer) = TURNS.keys.index(layer.turn)

      # The first by its turn whose needs are met. What goes round in a circle is refused before; it would come as it
      # stands.
      def in_turn(waiting)
        done = []
        until waiting.empty?
          ready = waiting.find { |layer| (first_of(layer).keys - done).empty? } || waiting.first
          done << ready
          waiting -= [ready]
        end
        done
      end

      # @return [Hash{Layer=>String}] the layers of this plan that one needs first, and why
      def first_of(layer)
        (@first ||= {}.compare_by_identity)[layer] ||= layer.needs_first
          .transform_keys { |id| @given.find { _1.id == id } }.except(nil)
      end

      # The one before it in the order; of an earlier turn, or of its own.
      def by_turn(layer)
        before = layers[0...layers.index(layer)].last or return
        [before, (turn(before) < turn(layer)) ? TURNS.fetch(layer.turn) : NEXT]
      end
    end
  end
end
