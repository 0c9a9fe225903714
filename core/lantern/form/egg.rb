# frozen_string_literal: true

module Lantern
  module Form
    # An egg, standing on its round end: half a circle below, half an ellipse above.
    class Egg < Boxed
      shape :egg, title: "Egg", typical: {width: 12, height: 16, face: 2}
      box

      ARCS = 24

      def check_own
        if height < width
          refuse("height", "An egg is higher than it is wide; this one is #{text(height)} high and #{text(width)} " \
            "wide. An oval may be either.")
        end
      end

      def trace(width, height)
        round = width / 2
        middle = height / 2 - round
        rise = height - round
        upper = ->(from, to) {
          Tracing.smooth(ARCS / 2) { |share|
            (from + (to - from) * share)
              .then { |angle| [round * Math.cos(angle), middle + rise * Math.sin(angle)] }
          }
        }
        Path.new(upper.call(-Math::PI / 2, 0.0) + [Tracing.arc([0.0, middle], round, 0.0, Math::PI)] +
          upper.call(Math::PI, 1.5 * Math::PI))
      end
    end
  end
end
