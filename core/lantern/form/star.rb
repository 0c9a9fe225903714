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

      # Its arms, from the middle to the tips.
      def parts
        path.pieces.each_slice(2).map { |side, _| Part.new(kind: :rib, path: Tracing.lines([[0.0, 0.0], side.at(0)])) }
      end
    end
  end
end
