# frozen_string_literal: true

module Lantern
  module Form
    # An outline of the maker's own: corner after corner along the middle of the band, in any measure,
    # made as wide over all as the maker says.
    class Outline < Boxed
      shape :outline, title: "Own outline", typical: {width: 14, face: 1.5}
      box height: false, corners: true

      # As many as a drawing that was brought in can come to.
      MOST = 140
      # A kite, to begin with.
      KITE = [[0, -10], [7, -3], [0, 12], [-7, -3]].freeze
      sizes << Plan::Field::List.new(:points, least: 3, most: MOST, label: "Corners", default_says: "a kite",
        of: Plan::Field::List.new(:corner, least: 2, most: 2, label: "A corner",
          of: Plan::Field::Place.new(:place, label: "A place")))

      def check_own
        if corners.each_cons(2).any? { |a, b| a == b } || corners.first == corners.last
          refuse("points", "Two corners that follow each other are the same.")
        end
        refuse("points", "The outline has no width.") if corners.map(&:first).uniq.one?
        crossing = Crossing.find(corners)
        if crossing
          refuse("points", "The outline crosses itself between corners #{crossing.map { _1 + 1 }.join(" and ")}.")
        end
      end

      def trace(width, _height)
        xs, ys = corners.transpose
        scale = width / (xs.max - xs.min)
        middle = [xs.minmax.sum / 2, ys.minmax.sum / 2]
        Tracing.polygon(corners.map { |x, y| [(x - middle[0]) * scale, (y - middle[1]) * scale] })
      end

      def dimensions
        _, top, right, bottom = path.reach(face / 2)
        super + [{about: "form.height", from: [right, top], to: [right, bottom], length: bottom - top, follows: true}]
      end

      private

      # At least three corners, walked clockwise on the drawing.
      def corners
        @corners ||= begin
          points = (sizes[:points].empty? ? KITE : sizes[:points]).map { |x, y| [x.to_f, y.to_f] }
          points.reject! { _1.size != 2 || _1.any?(&:nil?) }
          turning(points).negative? ? points.reverse : points
        end
      end

      # Twice the area, positive when walked clockwise with y running down.
      def turning(points) = (points + [points.first]).each_cons(2).sum { |(ax, ay), (bx, by)| ax * by - bx * ay }
    end
  end
end
