# frozen_string_literal: true

module Lantern
  module Form
    # A cane: a straight stick, and a hook that goes half round. Its path is open.
    class Cane < Boxed
      shape :cane, title: "Cane", typical: {width: 8, height: 18, face: 2}
      box

      def self.open?(_form) = true

      def check_own
        if height <= width / 2
          refuse("height", "A cane #{text(width)} wide must be higher than its hook, #{text(width / 2)}.")
        end
      end

      # The stick ends square, so only the hook's top lies half a face outside the middle.
      def trace(width, height)
        hook = width / 2
        low = (height + face) / 2
        high = low - (height + face / 2 - hook)
        Path.new([Line.new(from: [-hook, low], to: [-hook, high]),
          Tracing.arc([0.0, high], hook, Math::PI, 2 * Math::PI)])
      end
    end
  end
end
