# frozen_string_literal: true

module Lantern
  module Measure
    # How a camera's lens bends what is straight: a place in the picture lies nearer the middle than it should (a
    # barrel, `bend` negative) or farther from it (a pincushion), the more the farther out it is.
    #
    #   lens = Lens.new(width: 2000, height: 1500, bend: -0.03, doubt: 0.01)
    #   lens.straight([1000, 750])   # => [1000.0, 750.0]
    #   lens.straight([0, 750]).first.round   # => -20
    #
    # `bend` is the share of its distance by which a corner of the picture is moved, `doubt` how far that may be off,
    # one standard deviation.
    # Source: the first radial term of D. C. Brown, Close-range camera calibration (1971).
    Lens = Value.define(:width, :height, :bend, :doubt)

    class Lens
      # What phones do when nobody knows more: their first coefficient lies between -0.08 and 0.05 of the focal
      # length, a corner eight tenths of it away (from memory).
      USUAL, SPREAD = 0.0, 0.026
      # An edge in a picture is found no better than this, in pixels.
      FINEST = 0.1
      # How far it is bent to see what bending does; what bends more is no lens, but an edge that is no line.
      TRIED, MOST = 0.005, 0.15
      private_constant :USUAL, :SPREAD, :FINEST, :TRIED, :MOST

      class << self
        # @param width [Integer] of the picture, in pixels
        # @return [Lens] what is known of any
        def usual(width, height) = new(width:, height:, bend: USUAL, doubt: SPREAD)

        # The lens that makes some lines straight again, as far as they are long enough to tell.
        # @param lines [Array<Array<(Float, Float)>>] places along each in the picture
        # @return [Lens]
        def of(lines, width, height)
          2.times.reduce(usual(width, height)) { |lens, _| closer(lens, lines) }
        end

        private

        # The least squares of what is off the lines, as it changes with the bend, with what is usual as one look more.
        # Source: Gauss and Newton; the normal prior of any handbook of statistics.
        def closer(lens, lines)
          off, tried = [0.0, TRIED].map { |more| lines.flat_map { off_line(lens.with(bend: lens.bend + more), _1) } }
          change = off.zip(tried).map { |a, b| (b - a) / TRIED }
          noise = [off.sum { _1**2 } / [off.size - 2 * lines.size, 1].max, FINEST**2].max
          weight = change.sum { _1**2 } / noise + 1 / SPREAD**2
          pull = off.zip(change).sum { |a, b| a * b } / noise + (lens.bend - USUAL) / SPREAD**2
          lens.with(bend: (lens.bend - pull / weight).clamp(-MOST, MOST), doubt: 1 / Math.sqrt(weight))
        end

        def off_line(lens, places)
          places = places.map { lens.straight(_1) }
          line = Edges.line_through(places)
          places.map { Edges.off(line, _1) }
        end
      end

      # @return [(Float, Float)] where a place of the picture would be if nothing were bent
      def straight(place)
        x, y = from_middle(place)
        u, v = x, y
        4.times { u, v = [x, y].map { _1 / (1 + bend * (u * u + v * v)) } }
        in_picture(u, v)
      end

      # @return [(Float, Float)] where the picture shows it
      def bent(place)
        x, y = from_middle(place)
        far = 1 + bend * (x * x + y * y)
        in_picture(x * far, y * far)
      end

      private

      # In halves of the picture's diagonal.
      def half = Math.hypot(width, height) / 2

      def from_middle((x, y)) = [(x - width / 2.0) / half, (y - height / 2.0) / half]

      def in_picture(x, y) = [x * half + width / 2.0, y * half + height / 2.0]
    end
  end
end
