# frozen_string_literal: true

module Lantern
  module Measure
    # A colour as it is seen: how light it is (0 to 100), how far from green to red, and from blue to yellow.
    #
    #   Colour.of("#ffffff").light.round   # => 100
    #   Colour.of("#20323e").apart(Colour.of("#2e4a7d")).round   # => 14
    #
    # Source: CIE L*a*b* (CIE 15, 1976) of sRGB (IEC 61966-2-1) under D65.
    Colour = Value.define(:light, :red, :yellow)

    class Colour
      # The light of D65 and of sRGB's three lamps, as X, Y and Z.
      WHITE = [0.95047, 1.0, 1.08883].freeze
      LAMPS = [[0.4124564, 0.3575761, 0.1804375], [0.2126729, 0.7151522, 0.0721750],
        [0.0193339, 0.1191920, 0.9503041]].freeze
      FAR = 25.0**7
      private_constant :WHITE, :LAMPS, :FAR

      # @param text [String] as `#rrggbb`
      # @return [Colour]
      def self.of(text)
        lamps = text.scan(/\h\h/).map { _1.hex / 255.0 }
          .map { (_1 <= 0.04045) ? _1 / 12.92 : ((_1 + 0.055) / 1.055)**2.4 }
        x, y, z = LAMPS.zip(WHITE).map { |row, white| row.zip(lamps).sum { |a, b| a * b } / white }
          .map { (_1 > 216.0 / 24_389) ? Math.cbrt(_1) : (24_389.0 / 27 * _1 + 16) / 116 }
        new(light: 116 * y - 16, red: 500 * (x - y), yellow: 200 * (y - z))
      end

      # How different two colours look: 1 is just seen side by side, 100 is black and white.
      # Source: CIEDE2000 (CIE 142, 2001), as G. Sharma, W. Wu and E. Dalal write it out (2005).
      # @return [Float]
      def apart(other)
        mean = (chroma + other.chroma) / 2
        grey = 1 + 0.5 * (1 - Math.sqrt(mean**7 / (mean**7 + FAR)))
        (c1, h1), (c2, h2) = [self, other].map { _1.seen(grey) }
        lighter, fuller = other.light - light, c2 - c1
        turn = (c1 * c2).zero? ? 0.0 : (h2 - h1 + 180) % 360 - 180
        hue = 2 * Math.sqrt(c1 * c2) * Math.sin(turn * Math::PI / 360)
        weighed(lighter, fuller, hue, (light + other.light) / 2, (c1 + c2) / 2, middle(h1, h2, c1 * c2))
      end

      protected

      def chroma = Math.hypot(red, yellow)

      # Chroma and hue, what is nearly grey spread a little.
      def seen(grey)
        a = red * grey
        hue = (a.zero? && yellow.zero?) ? 0.0 : Math.atan2(yellow, a) * 180 / Math::PI % 360
        [Math.hypot(a, yellow), hue]
      end

      private

      def middle(one, other, full)
        return one + other if full.zero?
        sum = one + other
        return sum / 2 if (one - other).abs <= 180
        (sum < 360) ? (sum + 360) / 2 : (sum - 360) / 2
      end

      def weighed(lighter, fuller, hue, light, full, at)
        cos = ->(degrees) { Math.cos(degrees * Math::PI / 180) }
        t = 1 - 0.17 * cos[at - 30] + 0.24 * cos[2 * at] + 0.32 * cos[3 * at + 6] - 0.20 * cos[4 * at - 63]
        l = lighter / (1 + 0.015 * (light - 50)**2 / Math.sqrt(20 + (light - 50)**2))
        c, h = fuller / (1 + 0.045 * full), hue / (1 + 0.015 * full * t)
        turned = 60 * Math.exp(-((at - 275) / 25)**2) * Math::PI / 180
        rotated = -2 * Math.sqrt(full**7 / (full**7 + FAR)) * Math.sin(turned)
        Math.sqrt(l * l + c * c + h * h + rotated * c * h)
      end
    end
  end
end
