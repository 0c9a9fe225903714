# frozen_string_literal: true

module Lantern
  module Form
    # A lens: two arcs that meet in a point above and below; read as a leaf, a ball, an acorn.
    # Each arc has the radius (H^2 + W^2) / (4 W).
    # Source: the circular segment, any engineering handbook.
    class Lens < Boxed
      shape :lens, title: "Lens", typical: {width: 9, height: 16, face: 1.5}
      box corners: true

      def check_own
        if width > height
          refuse("width",
            "A lens is no wider than it is high; this one is #{text(width)} wide and #{text(height)} high.")
        end
      end

      def trace(width, height)
        radius = (height**2 + width**2) / (4 * width)
        centre = radius - width / 2
        half = Math.asin(height / 2 / radius)
        half = Math::PI - half if centre.negative?
        Path.new([Tracing.arc([-centre, 0.0], radius, -half, half),
          Tracing.arc([centre, 0.0], radius, Math::PI - half, Math::PI + half)])
      end
    end
  end
end
