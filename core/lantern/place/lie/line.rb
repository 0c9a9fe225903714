# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A flat strip along a line through its points, `width` wide.
      class Line < Lie
        lie :line
        looks order: :any do
          line width: 2, opacity: 0.75
          line width: 1.94, paint: :material
        end

        # The same as its marks hide, quicker.
        def patches(points) = points.each_cons(2).map { |from, to| Stroke.new(from:, to:, half: width / 2) }
      end
    end
  end
end
