# frozen_string_literal: true

module Lantern
  module Form
    # A star with straight arms, one of them pointing up.
    class Star < Boxed
      shape :star, title: "Star", typical: {width: 16, height: 15, face: 1.5}
      box corners: true
      # How far the notches lie from the middle, against the tips: of the regular star with five points.
      NOTCH = 0.382
      sizes << Plan::Field::Count.new(:points, least: 4, most: 16, default: 5, label: "Points")
      sizes << Plan::Field::Number.new(:notch, least: 0.2, most: 0.95, default: NOTCH, label: "Notches",
        help: "How far from the middle they lie, against the tips.")

      def trace(width, height)
        count = sizes[:points]
        corners = (0...2 * count).map do |i|
          angle = Math::PI * i / count - Math::PI / 2
          reach = i.even? ? 1.0 : sizes[:notch]
          [reach * Math.cos(angle), reach * Math.sin(angle)]
        end
        Tracing.polygon(Fitting.into_box(corners, width, height))
      end

      # Its arms, from the star's own middle, which is not that of its box, to the very tips of its band.
      def parts
        middle = path.pieces.map { _1.at(0) }.transpose.map { _1.sum / path.pieces.size }
        path.pieces.each_slice(2).with_index.map do |(side, _), i|
          Part.new(kind: :rib, path: Tracing.lines([middle, tip(2 * i - 1, side.at(0), middle)]))
        end
      end

      private

      # Farthest from the middle on the outside edge of a corner.
      def tip(after, corner, middle)
        [corner, *path.corner_points(after % path.pieces.size, face / 2.0)]
          .max_by { |x, y| Math.hypot(x - middle[0], y - middle[1]) }
      end
    end
  end
end
