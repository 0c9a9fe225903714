# frozen_string_literal: true

module Lantern
  module Form
    # Stretches points to a box about nought.
    module Fitting
      module_function

      # @param points [Array<(Float, Float)>]
      # @return [Array<(Float, Float)>] the same points in a box of this size
      def into_box(points, width, height)
        xs, ys = points.transpose
        points.map { |x, y|
          [((x - xs.min) / (xs.max - xs.min) - 0.5) * width,
            ((y - ys.min) / (ys.max - ys.min) - 0.5) * height]
        }
      end
    end
  end
end
