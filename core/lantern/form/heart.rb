# frozen_string_literal: true

module Lantern
  module Form
    # A heart: two round lobes that meet in a notch, and two straight sides down to the point.
    class Heart < Boxed
      shape :heart, title: "Heart", typical: {width: 14, height: 14, face: 2}
      box corners: true

      # A lobe's radius, as a share of the width (from memory: common wire hearts).
      LOBE = 0.28

      def check_own
        lobe = (width - face) * LOBE
        if height - face <= 2 * lobe
          refuse("height",
            "A heart #{text(width)} wide must be higher than #{text(2 * lobe + face)}, or it has no point.")
        end
      end

      def trace(width, height)
        lobe = width * LOBE
        aside = width / 2 - lobe
        level = -height / 2 + lobe
        point = [0.0, height / 2]
        notch = Math.acos(-aside / lobe)
        # Where the straight side touches the right lobe: the tangent from the point below.
        toward = Math.atan2(point[1] - level, -aside)
        touch = toward - Math.acos(lobe / Math.hypot(point[1] - level, aside))
        right = Tracing.arc([aside, level], lobe, -notch, touch)
        left = Tracing.arc([-aside, level], lobe, Math::PI - touch, Math::PI + notch)
        Path.new([right, Line.new(from: right.at(right.length), to: point), Line.new(from: point, to: left.at(0)),
          left])
      end
    end
  end
end
