# frozen_string_literal: true

module Lantern
  module Draw
    # From inches to the plan's own units, to a thousandth.
    class Scale
      def initialize(units)
        @factor = 1 / Measure::Length::IN.fetch(units).to_f
      end

      def number(inches) = (inches * @factor).round(3)

      def point(point) = point.map { number(_1) }

      # @return [String] a point as path data has it
      def text(x, y) = "#{(x * @factor).round(3)} #{(y * @factor).round(3)}"

      # @return [Array<Float>] x, y, x, y and so on
      def points(points)
        flat = []
        points.each { |x, y| flat << (x * @factor).round(3) << (y * @factor).round(3) }
        flat
      end
    end
  end
end
