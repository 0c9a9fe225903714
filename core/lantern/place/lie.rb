# frozen_string_literal: true

module Lantern
  module Place
    # How one layer's pieces lie, seen from the front and from the back. `unit` is what they are ({Unit}), `key`
    # tells them from others of their layer, `called` what their maker calls them, an item is `{points:, colour:}`,
    # and `reach` how far anything sticks out past the band, in inches.
    #
    # One file a kind: it says what the points of an item mean and what an item covers. The screens have one
    # way of drawing for each kind.
    #
    #   class Cord < Lie
    #     lie :cord
    #     def patches(points) = points.each_cons(2).map { |from, to| Stroke.new(from:, to:, half: width / 2) }
    #   end
    #
    # @abstract a subclass answers {#patches}
    Lie = Value.define(:layer, :key, :unit, :called, :materials, :width, :reach, :front, :back)

    class Lie
      KINDS = Registry.new("kind of lie")

      class << self
        # @return [Symbol]
        attr_reader :kind

        # Names the kind, and makes it known to layers, the API and the screens.
        def lie(kind)
          @kind = kind
          KINDS.know(kind, self)
        end
      end

      # @param unit [Symbol] one of {Unit}
      # @raise [Registry::Unknown]
      def initialize(unit:, key: nil, called: nil, reach: 0.0, back: [], **rest)
        unit = Unit.fetch(unit) unless unit.is_a?(Unit)
        super(**rest, unit:, called:, key: key || unit.key, reach:, back:)
      end

      # @return [Array<Stroke, Polygon>] what of the form an item with these points hides
      def patches(points) = raise(NotImplementedError, "#{self.class.name} does not say what it covers.")

      # Everything that it hides on one side.
      # @param side [Symbol] `:front` or `:back`
      # @return [Array<Stroke, Polygon>]
      def covers(side) = public_send(side).flat_map { patches(_1[:points]) }

      # How thick it makes the band, in inches; drawn in the cut through it.
      def thick = 0.0

      def to_h(scale)
        {
          "layer" => layer, "key" => key.to_s, "unit" => unit.key.to_s, "what" => called || word,
          "kind" => self.class.kind.to_s,
          "materials" => materials.map(&:id), "width" => scale.number(width),
          "front" => items(front, scale), "back" => items(back, scale)
        }
      end

      private

      # Behind the form alone lies what is counted there.
      def word = unit.word((front.empty? ? back : front).size)

      def items(list, scale)
        list.map { |item| {"points" => scale.points(item[:points]), "colour" => item[:colour] || 0} }
      end
    end
  end
end
