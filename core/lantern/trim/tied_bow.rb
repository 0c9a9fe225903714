# frozen_string_literal: true

module Lantern
  module Trim
    # The lie of a bow on the front of a form: tails under loops under the pinch in the middle, upright
    # whatever hour it sits at.
    class TiedBow
      # @param form [Form::Band]
      # @param at [Float] the hour
      # @param tails [Array<(Float, Float)>] the direction (radians, nought to the right, a quarter down) and length of
      #   each
      # @param loops [Array<(Float, Float)>]
      # @param width [Float] of the ribbon
      def initialize(form, id:, materials:, at:, tails:, loops:, width:)
        @form, @id, @materials, @width = form, id, materials, width
        @tails, @loops = tails, loops
        @centre = Form::Clock.point(form, at)
      end

      # @return [Array<Place::Lie>]
      def lies
        tails = coloured(@tails) { |angle, length| [@centre, out(angle, length)] }
        loops = coloured(@loops.sort_by { -_2 }) { |angle, length| [@centre, out(angle, length)] }
        [
          *(lie(Place::Lie::Tail, :tails, tails) if tails.any?),
          lie(Place::Lie::Loop, :bow_loops, loops),
          lie(Place::Lie::Panel, :pinches, [{points: square(@width * 0.32), colour: 0}])
        ]
      end

      private

      def lie(kind, unit, front)
        kind.new(layer: @id, unit:, materials: @materials, width: @width, front:)
      end

      # Each in the colour of the next ribbon in turn.
      def coloured(ends)
        ends.each_with_index.map { |(angle, length), i| {points: yield(angle, length), colour: i % @materials.size} }
      end

      def square(half)
        [[-half, -half], [half, -half], [half, half], [-half, half]].map { |x, y| turned(0.0, x, y) }
      end

      def out(angle, length) = turned(angle, length, 0.0)

      def turned(angle, along, across)
        cos, sin = Math.cos(angle), Math.sin(angle)
        [@centre[0] + along * cos - across * sin, @centre[1] + along * sin + across * cos]
      end
    end
  end
end
