# frozen_string_literal: true

module Lantern
  module Measure
    # A flat sheet as a photo shows it: from a place in the picture back to the place on the sheet's plane, and there.
    #
    #   seen = Perspective.of([[0, 0], [170, 0], [170, 220], [0, 220]], 8.5, 11)
    #   seen.place([85, 110])   # => [4.25, 5.5]
    #   seen.pixel([4.25, 5.5])   # => [85.0, 110.0]
    #
    # Source: the projective mapping of the unit square onto four corners and its adjoint
    # (P. Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, section 2.2.3).
    class Perspective
      # Raised when four corners are no sheet's, or a place lies where its plane cannot be seen.
      Impossible = Class.new(StandardError)

      # The corners' own triangles are at least so large, as a share of the whole, or three lie in line.
      SLIMMEST = 0.02
      # What lies so many times farther away than the sheet cannot be measured.
      HORIZON = 1.0 / 30

      class << self
        # @param corners [Array<(Numeric, Numeric)>] four places in the picture, one after another round the sheet,
        #   from its upper left
        # @param width [Numeric] from the first corner to the second, in any length
        # @param height [Numeric] from the second to the third
        # @raise [Impossible]
        def of(corners, width, height)
          check(corners)
          square = from_square(corners.map { |corner| corner.map(&:to_f) })
          new(square, adjoint(square), width.to_f, height.to_f, corners.first)
        end

        private

        def check(corners)
          turns = corners.each_index.map { |i| turn(*[0, 1, 2].map { corners[(i + _1) % 4] }) }
          raise Impossible, "crossed" if turns.count(&:positive?) == 2 && turns.count(&:negative?) == 2
          whole = turns.sum.abs / 2
          slim = turns.any? { _1.abs < SLIMMEST * whole }
          raise Impossible, "in line" if whole.zero? || slim || turns.minmax.reduce(:*).negative?
        end

        # Twice the area of a triangle, with its direction.
        def turn((ax, ay), (bx, by), (cx, cy)) = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)

        # The mapping of (0, 0), (1, 0), (1, 1), (0, 1) onto the corners.
        def from_square(((ax, ay), (bx, by), (cx, cy), (dx, dy)))
          whole = turn([cx, cy], [bx, by], [dx, dy])
          sum_x, sum_y = ax - bx + cx - dx, ay - by + cy - dy
          g = (sum_x * (dy - cy) - (dx - cx) * sum_y) / whole
          h = ((bx - cx) * sum_y - sum_x * (by - cy)) / whole
          [[bx - ax + g * bx, dx - ax + h * dx, ax], [by - ay + g * by, dy - ay + h * dy, ay], [g, h, 1.0]]
        end

        def adjoint(((a, b, c), (d, e, f), (g, h, i)))
          [[e * i - f * h, c * h - b * i, b * f - c * e], [f * g - d * i, a * i - c * g, c * d - a * f],
            [d * h - e * g, b * g - a * h, a * e - b * d]]
        end
      end

      # @api private
      # @param corner [(Numeric, Numeric)] a place that is surely before the camera
      def initialize(square, rows, width, height, corner)
        @square, @rows, @width, @height = square, rows, width, height
        @near = depth(corner)
      end

      # @param pixel [(Numeric, Numeric)] a place in the picture
      # @return [(Float, Float)] the place on the sheet's plane, from its first corner, in the sheet's own lengths
      # @raise [Impossible] when it lies on or beyond the plane's horizon
      def place(pixel)
        raise Impossible, "beyond" if depth(pixel) / @near < HORIZON
        across, down, depth = @rows.map { |row| along(row, pixel) }
        [across / depth * @width, down / depth * @height]
      end

      # @param place [(Numeric, Numeric)] on the sheet's plane, from its first corner, in the sheet's own lengths
      # @return [(Float, Float)] where the picture shows it
      # @raise [Impossible] when it lies on or beyond the horizon, or behind the camera
      def pixel((across, down))
        x, y, depth = @square.map { |row| along(row, [across / @width, down / @height]) }
        raise Impossible, "beyond" if depth < HORIZON
        [x / depth, y / depth]
      end

      # The same as three rows of three numbers, from a place on the sheet (x, y, 1) to what is seen, times its depth.
      # @return [Array<Array<Float>>]
      def matrix = @square.map { |(a, b, c)| [a / @width, b / @height, c] }

      private

      def depth(pixel) = along(@rows[2], pixel)

      def along((x, y, one), pixel) = x * pixel[0] + y * pixel[1] + one
    end
  end
end
