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

      def scaled(factor) = Arc.new(centre: centre.map { _1 * factor }, radius: radius * factor, start:, sweep:)
    end
  end
end
