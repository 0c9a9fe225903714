# frozen_string_literal: true

module Lantern
  module Place
    # How one layer's pieces lie, seen from the front and from the back. `unit` is what they are ({Unit}), `key`
    # tells them from others of their layer, `called` what their maker calls them, `words` what is written on each, an
    # item is `{points:, colour:}`.
    #
    # One file a kind: it says what the points of an item mean and how an item looks ({Look}). What it hides and how far
    # it reaches follow from that, and so does every drawing of it.
    #
    #   class Patch < Lie
    #     lie :patch
    #     looks(order: :any) { area edge: 0.06 }
    #   end
    #
    #   front = [{points: [[0, 0], [3, 0]]}]
    #   cord = Lie::Cord.new(layer: "base", unit: :coils, materials: [], width: 0.5, front:)
    #   cord.box            # => [-0.25, -0.25, 3.25, 0.25]
    #   cord.covers(:front).first.over?(1, 0.2)   # => true
    Lie = Value.define(:layer, :key, :unit, :called, :words, :materials, :width, :front, :back)

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

        def looks(...) = @look = Look.new(...)

        # @return [Look]
        def look = @look || raise(NotImplementedError, "#{name} does not say how it looks.")
      end

      # @param unit [Symbol] one of {Unit}
      # @raise [Registry::Unknown]
      def initialize(unit:, key: nil, called: nil, words: nil, back: [], **rest)
        unit = Unit.fetch(unit) unless unit.is_a?(Unit)
        super(**rest, unit:, called:, words:, key: key || unit.key, back:)
      end

      # @return [Array<Stroke, Polygon>] what of the form an item with these points hides
      def patches(points)
        look.solids.flat_map do |mark|
          Look::Frame.of(mark, points, width / 2.0, slender: look.slender)
            .map { |frame| Polygon.new(corners: frame.corners(mark)) }
        end
      end

      # @return [Look]
      def look = self.class.look

      # Everything that it hides on one side.
      # @param side [Symbol] `:front` or `:back`
      # @return [Array<Stroke, Polygon>]
      def covers(side) = public_send(side).flat_map { patches(_1[:points]) }

      # Left, top, right and bottom of all of it, in inches.
      # @return [Array<Float>, nil] nil where it is but a colour
      def box
        xs, ys = (front + back).flat_map { _1[:points] }.transpose unless look.coat?
        return unless xs
        room = look.beyond * width / 2.0
        [xs.min - room, ys.min - room, xs.max + room, ys.max + room]
      end

      # How many bytes it takes, about (from memory).
      def bytes = 1_000 + (front + back).sum { |item| 300 + 60 * item[:points].size }

      # How thick it makes the band, in inches; drawn in the cut through it.
      def thick = 0.0

      def to_h(scale)
        {
          "layer" => layer, "key" => key.to_s, "unit" => unit.key.to_s, "what" => called || word,
          "kind" => self.class.kind.to_s,
          "materials" => materials.map(&:id), "width" => scale.number(width),
          "front" => items(front, scale), "back" => items(back, scale), "written" => written(scale)
        }.compact
      end

      private

      # Behind the form alone lies what is counted there.
      def word = unit.word((front.empty? ? back : front).size)

      # A letter is about so much of its size wide, and leaves so much of a board's height free (from memory).
      # Capitals stand so much of their size above the line they are written on.
      LETTER, FREE, STANDS = 0.72, 0.5, 0.36
      private_constant :LETTER, :FREE, :STANDS

      # What is written on each item, in the middle of it, as large as it has room for.
      def written(scale)
        return if words.to_s.empty?
        front.map { |item|
          (left, right), (top, bottom) = item[:points].transpose.map(&:minmax)
          size = [(bottom - top) * FREE, (right - left) * 0.9 / (LETTER * words.size)].min
          {"words" => words, "at" => scale.point([(left + right) / 2, (top + bottom) / 2 + STANDS * size]),
           "size" => scale.number(size)}
        }
      end

      def items(list, scale)
        list.map { |item| {"points" => scale.points(item[:points]), "colour" => item[:colour] || 0} }
      end
    end
  end
end
