# frozen_string_literal: true

module Lantern
  module Form
    # A straight piece of a {Path}.
    Line = Data.define(:from, :to) do
      def length = Math.hypot(to[0] - from[0], to[1] - from[1])

      def at(distance)
        share = length.zero? ? 0 : distance / length
        [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]
      end

      def direction(_distance) = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]

      def curvature = 0.0

      def scaled(factor) = with(from: from.map { _1 * factor }, to: to.map { _1 * factor })
    end
  end
end
