# frozen_string_literal: true

require_relative "marks"

module Server
  module Svg
    # A strip of a material laid along the x axis, as a pattern: its colour and its texture, or a photo of it at its
    # true scale.
    class Surface
      INK = Marks::INK
      DIRECTIONS = Lantern::Place::Look::Frame::DIRECTIONS

      # A share of white for a round cord: light comes from the upper left, and lies across it.
      # @param colour [String] such as "#c2a26b"
      # @return [String]
      def self.lightened(colour, direction)
        share = 0.14 * Math.sin((direction.fdiv(DIRECTIONS) - 0.25) * Math::PI).abs
        colour.sub(/\A#\h{6}\z/) { |hex|
          "##{hex[1..].scan(/../).map { |two| (two.hex + (255 - two.hex) * share).round.to_s(16).rjust(2, "0") }.join}"
        }
      end

      # A colour as it is seen in the shade: so much of the ink in it.
      # @return [String]
      def self.shaded(colour, share = 0.35)
        mixed = colour.scan(/\h\h/).zip(INK.scan(/\h\h/)).map { |own, ink| own.hex + (ink.hex - own.hex) * share }
        format("#%02x%02x%02x", *mixed.map(&:round))
      end

      # @param surface [Hash, nil] as a drawing says it
      # @param colour [String]
      # @param picture [String, nil] its photo as a data address
      def initialize(surface, colour, picture = nil)
        @surface, @colour, @picture = surface || {"texture" => "plain"}, colour, picture
        @texture = Lantern::Draw::Texture::ALL.fetch(@surface["texture"])
      end

      # Whether it is no more than its colour.
      def plain? = @picture.nil? && @texture.look.marks.empty?

      # @param width [Numeric] across the strip
      # @param direction [Integer] in which it runs
      # @return [String]
      def pattern(id, width, direction)
        size = repeat(width)
        high = whole? ? width : size
        turned = direction.zero? ? "" : %( patternTransform="rotate(#{at(180.0 * direction / DIRECTIONS)})")
        %(<pattern id="#{id}" width="#{at(size)}" height="#{at(high)}" y="#{at(-width / 2.0)}" ) +
          %(patternUnits="userSpaceOnUse"#{turned}>#{@picture ? photo(size) : stuff(size, high)}</pattern>)
      end

      private

      # Whether a repeat of it goes all across the strip.
      def whole? = @texture.of_width && @picture.nil?

      def repeat(width)
        return @surface["picture_width"] || width if @picture
        whole? ? width * @texture.of_width : @surface["repeat"] || width / 3.0
      end

      def at(number) = number.to_f.round(4)

      def photo(size) = %(<image href="#{@picture}" width="#{at(size)}" height="#{at(size)}" ) +
        %(preserveAspectRatio="xMidYMid slice"/>)

      def stuff(size, high)
        leg = {"points" => [0, high / 2.0, size, high / 2.0], "colour" => 0}
        %(<rect width="#{at(size)}" height="#{at(high)}" fill="#{@colour}"/>) +
          Lantern::Place::Look::Print.new(@texture.look, high).of([leg]) { @colour }
            .map { Marks.write(_1, high, {"ink" => INK}) }.join
      end
    end
  end
end
