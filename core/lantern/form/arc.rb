# frozen_string_literal: true

module Lantern
  module Form
    # A piece of a circle in a {Path}. Angles in radians, growing clockwise on the drawing; `sweep`
    # is positive when the centre lies on the inside.
    Arc = Data.define(:centre, :radius, :start, :sweep) do
      def length = radius * sweep.abs

      def at(distance)
        angle = start + sweep * distance / length
        [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)]
      end

      def direction(distance)
        angle = start + sweep * distance / length
        side = sweep.positive? ? 1 : -1
        [-Math.sin(angle) * side, Math.cos(angle) * side]
      end

      def curvature = (sweep.positive? ? 1 : -1) / radius

      def scaled(factor) = with(centre: centre.map { _1 * factor }, radius: radius * factor)
    end
  end
end
