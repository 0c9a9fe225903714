# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A flat strip along a line through its points, `width` wide.
      class Line < Lie
        lie :line

        def patches(points) = points.each_cons(2).map { |from, to| Stroke.new(from:, to:, half: width / 2) }
      end
    end
  end
end
