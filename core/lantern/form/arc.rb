# frozen_string_literal: true

module Lantern
  module Form
    # A piece of a circle in a {Path}. Angles in radians, growing clockwise on the drawing; `sweep`
    # is positive when the centre lies on the inside.
    class Arc
      attr_reader :centre, :radius, :start, :sweep, :length, :curvature

      def initialize(centre:, radius:, start:, sweep:)
        @centre = centre
        @radius = radius
        @start = start
        @sweep = sweep
        @length = radius * sweep.abs
        @side = sweep.positive? ? 1 : -1
        @curvature = @side.fdiv(radius)
        freeze
      end

      def at(distance) = beside(distance, 0.0)

      # The point this far along, and `across` towards the outside.
      def beside(distance, across)
        angle = @start + @side * distance / @radius
        reach = @radius + @side * across
        [@centre[0] + reach * Math.cos(angle), @centre[1] + reach * Math.sin(angle)]
      end

      def direction(distance)
        angle = @start + @side * distance / @radius
        [-Math.sin(angle) * @side, Math.cos(angle) * @side]
      end

      # Its ends, and where it is farthest left, right, up or down on the way.
      # @return [Array<(Float, Float)>]
      def extremes
        quarter = Math::PI / 2
        from, to = [@start, @start + @sweep].minmax
        ((from / quarter).ceil..(to / quarter).floor).first(4)
          .map { |i|
          [@centre[0] + @radius * Math.cos(i * quarter),
            @centre[1] + @radius * Math.sin(i * quarter)]
        } << at(0) << at(@length)
      end

      # The part of it from one distance to another.
      def stretch(from, to) =
        Arc.new(centre:, radius:, start: @start + @side * from / @radius, sweep: @side * (to - from) / @radius)

      # The same so much farther out.
      def outward(by) = Arc.new(centre:, radius: radius + @side * by, start:, sweep:)

      # Mirrored left to right and walked the other way, so that the outside stays outside.
      def mirrored = Arc.new(centre: [-centre[0], centre[1]], radius:, start: Math::PI - start - sweep, sweep:)

      def placed(x, y, turn)
        cos, sin = Math.cos(turn), Math.sin(turn)
        Arc.new(centre: [x + centre[0] * cos - centre[1] * sin, y + centre[0] * sin + centre[1] * cos], radius:,
          start: start + turn, sweep:)
      end

      def scaled(factor) = Arc.new(centre: centre.map { _1 * factor }, radius: radius * factor, start:, sweep:)
    end
  end
end
