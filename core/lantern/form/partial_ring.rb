# frozen_string_literal: true

module Lantern
  module Form
    # An arc cut from a ring, a crescent: so many degrees of it, open at the bottom.
    class PartialRing < Shape
      shape :arc, title: "Arc", typical: {width: 14, face: 3}

      size :width, required: true, label: "The ring it is cut from, across", help: "Outside edge to outside edge, before it was cut."
      size :face, required: true, label: "Face", help: "Across the band, from edge to edge."
      sizes << Plan::Field::Number.new(:degrees, least: 0, most: 360, above: true, default: 180.0, label: "Degrees", help: "How much of the ring it keeps; 180 is half.")

      def face = sizes[:face].to_f

      def check
        refuse("face", "A face of #{text(face)} is too wide for a ring #{text(sizes[:width].to_f)} across.") if face >= sizes[:width].to_f / 2
        refuse("degrees", "A whole ring is a ring, not an arc: keep fewer than 360 degrees.") if sizes[:degrees] >= 360
      end

      # From the left end over the top to the right one, so that the outside is outside.
      def path
        turn = sizes[:degrees] * Math::PI / 180
        Path.new([Arc.new(centre: [0.0, 0.0], radius:, start: -Math::PI / 2 - turn / 2, sweep: turn)])
      end

      def dimensions
        points = path.trace(face / 2) + path.trace(-face / 2)
        xs, ys = points.transpose
        [{about: "form.width", from: [xs.min, ys.max], to: [xs.max, ys.max], length: xs.max - xs.min}]
      end

      private

      def radius = measured[:run] ? measured[:run] / (sizes[:degrees] * Math::PI / 180) : (sizes[:width].to_f - face) / 2
    end
  end
end
