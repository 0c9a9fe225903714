# frozen_string_literal: true

module Lantern
  module Form
    # A gourd, seen from the side: wide shoulders, a dip where the stem sits and another below, ribs
    # from one to the other, and the stem on top.
    class Gourd < Boxed
      shape :gourd, title: "Gourd", typical: {width: 16, height: 13, face: 1.5}
      box
      sizes << Plan::Field::Count.new(:ribs, least: 0, most: 24, default: 5, label: "Ribs",
        help: "Seen from the front, those along the sides not counted.")
      size :stem, zero: true, label: "Stem", default_says: "a fifth of the height",
        help: "How far it stands up out of the dip; 0 for none."
      size :stem_thickness, label: "Stem, how thick", default_says: "a tenth of the width"

      # How deep the dips are, as a share of the height's half, and how far they reach (from memory).
      DIP = 0.3
      REACH = 6
      # Arcs to the whole; to a rib a quarter as many.
      ARCS = 32
      # Where the shoulder is highest: the sine there, of the curve below.
      SHOULDER = (1 / ((REACH + 1) * DIP))**(1.0 / REACH)

      def trace(width, height)
        Path.new(Tracing.smooth(ARCS) { |share| level((share - 0.25) * 2 * Math::PI, width, height) })
      end

      def parts
        ribs = (1..sizes[:ribs])
          .map { |number| Part.new(kind: :rib, path: rib(-Math.cos(Math::PI * number / (sizes[:ribs] + 1)))) }
        ribs + stem
      end

      private

      # A point of the outline, `angle` from the right, clockwise. The shoulders reach the full height.
      def level(angle, width, height)
        sine = Math.sin(angle)
        top = SHOULDER * (1 - DIP * SHOULDER**REACH)
        [width / 2 * Math.cos(angle), height / 2 * sine * (1 - DIP * sine**REACH) / top]
      end

      # A rib is a line of the same kind, so much narrower, from dip to dip.
      def rib(share)
        wide, high = scaled_box
        return Tracing.lines([level(-Math::PI / 2, 0.0, high), level(Math::PI / 2, 0.0, high)]) if share.abs < 1e-9
        Path.new(Tracing.smooth(ARCS / 4) { |along| level(-Math::PI / 2 + Math::PI * along, wide * share, high) })
      end

      def stem
        wide, high = scaled_box
        length = (sizes[:stem] || high / 5).to_f
        return [] if length.zero?
        foot = level(-Math::PI / 2, wide, high)
        [Part.new(kind: :stem, path: Tracing.lines([foot, [foot[0], foot[1] - length]]),
          diameter: (sizes[:stem_thickness] || wide / 10).to_f)]
      end

      # The middle's own box, as a string may have sized it.
      def scaled_box = path.box.then { |left, top, right, bottom| [right - left, bottom - top] }
    end
  end
end
