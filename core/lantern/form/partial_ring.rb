# frozen_string_literal: true

module Lantern
  module Form
    # An arc cut from a ring, a crescent: so many degrees of it, open at the bottom.
    class PartialRing < Boxed
      shape :arc, title: "Arc", typical: {width: 14, face: 3}

      size :width, label: "The ring it is cut from, across", help: "Outside edge to outside edge, before it was cut."
      size :face, label: "Face", help: "Across the band, from edge to edge."
      sizes << Plan::Field::Number.new(:degrees, least: 0, most: 360, above: true, default: 180.0, label: "Degrees",
        help: "How much of the ring it keeps; 180 is half.")

      sizes << Plan::Field::Switch.new(:already_cut, label: "Cut already",
        help: "It lies before you, cut: nothing has to be cut from a ring.")

      # Less than this is a scrap, in degrees (from memory).
      SCRAP = 15

      def self.open?(_form) = true

      def check_own
        refuse("degrees", "A whole ring is a ring, not an arc: keep fewer than 360 degrees.") if sizes[:degrees] >= 360
      end

      # From the left end over the top to the right one, so that the outside is outside.
      def trace(width, _height) =
        Path.new([Arc.new(centre: [0.0, 0.0], radius: width / 2, start: -Math::PI / 2 - turn / 2, sweep: turn)])

      def dimensions
        points = path.trace(face / 2) + path.trace(-face / 2)
        xs, ys = points.transpose
        [{about: "form.width", from: [xs.min, ys.max], to: [xs.max, ys.max], length: xs.max - xs.min,
          follows: sizes[:degrees] < 180}, across_band]
      end

      # What the rest of the ring is good for.
      def findings
        return [] if sizes[:already_cut]
        rest = 360 - sizes[:degrees]
        more = (rest / sizes[:degrees] + 1e-9).floor
        left = rest - more * sizes[:degrees]
        uses = [
          (if more.positive?
             (more == 1) ? "another arc like this one" : "#{more} more arcs like this one"
           end),
          ("an arc of #{degrees(left)}, #{text(radius * left * Math::PI / 180)} along its middle" if left >= SCRAP)
        ].compact
        says = uses.empty? ? "too little to use" : "good for #{uses.join(" and ")}"
        [note("rest_of_ring", "The rest of the ring, #{degrees(rest)} or #{text(radius * rest * Math::PI / 180)} " \
          "along its middle, is #{says}.")]
      end

      def preparing
        return ["Tape or sand its cut ends."] if sizes[:already_cut]
        ["Mark #{degrees(sizes[:degrees])} on the ring, #{text(path.edge(face / 2))} along its outside " \
        "edge, and cut it there. Tape or sand the cut ends."]
      end

      # It is cut from a ring, unless it was.
      def holds = sizes[:already_cut] ? [] : %i[blade]

      private

      def radius = path.pieces.first.radius

      def turn = sizes[:degrees] * Math::PI / 180

      # Both edges differ by a face times the turn.
      def edges_face
        inside, outside = measured.values_at(:inside_run, :outside_run)
        (outside - inside) / turn if inside && outside
      end

      def degrees(number) = "#{number.round(1).to_s.delete_suffix(".0")}°"
    end
  end
end
