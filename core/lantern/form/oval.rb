# frozen_string_literal: true

module Lantern
  module Form
    # An oval: the middle of its band is an ellipse.
    class Oval < Boxed
      shape :oval, title: "Oval", typical: {width: 14, height: 18, face: 2.5}
      box

      # So many arcs to the whole; the perimeter is then right to a millionth.
      ARCS = 48

      def trace(width, height)
        Path.new(Tracing.smooth(ARCS) { |share|
          angle = (share - 0.25) * 2 * Math::PI
          [width / 2 * Math.cos(angle), height / 2 * Math.sin(angle)]
        })
      end
    end
  end
end
