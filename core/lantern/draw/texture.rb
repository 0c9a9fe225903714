# frozen_string_literal: true

module Lantern
  module Draw
    # How the stuff of a strip looks close to: marks ({Place::Look}) in one repeat of it, which goes on along the strip
    # and across it. A place in a path is a share of the repeat along the strip, and from -1 to 1 across it.
    #
    #   Texture.know(:stripe, usual: 3/8r) { area "M0 -.3 L1 -.3 L1 .3 L0 .3 Z", frame: :legs, paint: :ink }
    Texture = Value.define(:key, :look, :usual, :of_width)

    class Texture
      ALL = Registry.new("texture")
      INK = {frame: :legs, paint: :ink, opacity: 0.42}.freeze

      # @param usual [Rational, nil] inches from one mark to the next where nobody measured (from memory)
      # @param of_width [Float, nil] where a repeat goes all across the strip: how long it is, as a share of the width
      def self.know(key, usual: nil, of_width: nil, &marks)
        ALL.know(key, new(key:, usual:, of_width:, look: Place::Look.new(&marks)))
      end

      # @return [Hash] as the declarations publish it
      def to_h = {"key" => key.to_s, "of_width" => of_width, "look" => look.to_h}.compact

      know(:plain)
      # The strands of a rope cross it slanting.
      know(:twist, of_width: 0.62) { line "M0 1 L1 -1", width: 0.2, **INK }
      know(:herringbone, usual: 1/4r) {
        line "M0 0 L.5 -1 L1 0 M0 1 L.5 0 L1 1", width: 0.2, **INK
      }
      know(:weave, usual: 1/8r) { line "M0 0 L1 0 M.5 -1 L.5 1", width: 0.4, **INK }
      know(:net, usual: 1/4r) { line "M0 -1 L1 1 M1 -1 L0 1", width: 0.2, **INK }
      # Where both its stripes cross it is darkest.
      know(:check, usual: 1/2r) {
        area "M0 -1 L.5 -1 L.5 0 L0 0 Z", **INK, opacity: 0.3
        area "M.5 -1 L1 -1 L1 0 L.5 0 Z M0 0 L.5 0 L.5 1 L0 1 Z", **INK, opacity: 0.14
      }
      know(:stripe, usual: 3/8r) { area "M0 -.3 L1 -.3 L1 .3 L0 .3 Z", **INK }
      know(:dot, usual: 3/8r) { area oval(0.36, middle: 0.5), **INK, opacity: 0.4 }
      know(:lace, usual: 1/2r) { line oval(0.66, middle: 0.5), width: 0.24, **INK }
    end
  end
end
