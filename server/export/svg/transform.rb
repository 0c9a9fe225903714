# frozen_string_literal: true

module Server
  module Svg
    # A transform of the plane as SVG writes it: x' = a x + c y + e, y' = b x + d y + f.
    # Source: Scalable Vector Graphics (SVG) 1.1, chapter 7.
    class Transform
      attr_reader :numbers

      def initialize(*numbers)
        @numbers = numbers.freeze
      end

      NONE = new(1.0, 0.0, 0.0, 1.0, 0.0, 0.0)

      # No coordinate of a drawing is larger.
      LARGEST = 1e9

      NUMBER = /[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d{1,3})?/

      class << self
        # @param text [String, nil] as in `translate(3 4) rotate(30)`
        # @return [Transform]
        def read(text)
          text.to_s.scan(/([a-zA-Z]+)\s*\(([^)]*)\)/)
            .reduce(NONE) { |all, (name, given)| all * one(name, given.scan(NUMBER).map(&:to_f)) }
        end

        private

        def one(name, given)
          case name
          when "matrix" then (given.size == 6) ? new(*given) : NONE
          when "translate" then new(1.0, 0.0, 0.0, 1.0, given[0] || 0.0, given[1] || 0.0)
          when "scale" then new(given[0] || 1.0, 0.0, 0.0, given[1] || given[0] || 1.0, 0.0, 0.0)
          when "rotate" then rotate(given)
          when "skewX" then new(1.0, 0.0, Math.tan((given[0] || 0) * Math::PI / 180), 1.0, 0.0, 0.0)
          when "skewY" then new(1.0, Math.tan((given[0] || 0) * Math::PI / 180), 0.0, 1.0, 0.0, 0.0)
          else NONE
          end
        end

        def rotate(given)
          angle, x, y = given.map(&:to_f).values_at(0, 1, 2).map { _1 || 0.0 }
          cos, sin = Math.cos(angle * Math::PI / 180), Math.sin(angle * Math::PI / 180)
          new(1.0, 0.0, 0.0, 1.0, x, y) * new(cos, sin, -sin, cos, 0.0, 0.0) * new(1.0, 0.0, 0.0, 1.0, -x, -y)
        end
      end

      # The other first, then this one.
      def *(other)
        a, b, c, d, e, f = numbers
        g, h, i, j, k, l = other.numbers
        Transform.new(a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f)
      end

      def call(point)
        a, b, c, d, e, f = numbers
        [a * point[0] + c * point[1] + e, b * point[0] + d * point[1] + f]
      end
    end
  end
end
