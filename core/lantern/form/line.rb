# frozen_string_literal: true

module Lantern
  module Form
    # A straight piece of a {Path}.
    class Line
      attr_reader :from, :to, :length

      def initialize(from:, to:)
        @from = from
        @to = to
        @length = Math.hypot(to[0] - from[0], to[1] - from[1])
        @dx, @dy = @length.zero? ? [0.0, 0.0] : [(to[0] - from[0]) / @length, (to[1] - from[1]) / @length]
        freeze
      end

      def at(distance) = beside(distance, 0.0)

      # The point this far along, and `across` towards the outside.
      def beside(distance, across)
        [@from[0] + @dx * distance + @dy * across, @from[1] + @dy * distance - @dx * across]
      end

      def direction(_distance) = [@dx, @dy]

      def curvature = 0.0

      # @return [Array<(Float, Float)>] its ends
      def extremes = [@from, @to]

      # The part of it from one distance to another.
      def stretch(from, to) = Line.new(from: at(from), to: at(to))

      # The same so much farther out.
      def outward(by) = Line.new(from: beside(0, by), to: beside(length, by))

      # Mirrored left to right and walked the other way, so that the outside stays outside.
      def mirrored = Line.new(from: [-to[0], to[1]], to: [-from[0], from[1]])

      def placed(x, y, turn)
        cos, sin = Math.cos(turn), Math.sin(turn)
        moved = [from, to].map { |px, py| [x + px * cos - py * sin, y + px * sin + py * cos] }
        Line.new(from: moved[0], to: moved[1])
      end

      def scaled(factor) = Line.new(from: from.map { _1 * factor }, to: to.map { _1 * factor })
    end
  end
end
