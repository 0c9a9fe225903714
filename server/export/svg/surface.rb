# frozen_string_literal: true

module Server
  module Svg
    # A strip of a material laid along the x axis, as a pattern: its colour and its texture, or a photo of it at its
    # true scale.
    class Surface
      INK = "#1c2431"

      # @param surface [Hash, nil] as a drawing says it
      # @param colour [String]
      # @param picture [String, nil] its photo as a data address
      def initialize(surface, colour, picture = nil)
        @surface, @colour, @picture = surface || {"texture" => "plain"}, colour, picture
      end

      # Whether it is no more than its colour.
      def plain? = @picture.nil? && @surface["texture"] == "plain"

      # @param width [Numeric] across the strip
      # @param light [Integer] on which side of it the light falls: -1 above, 1 below, 0 where there is none
      # @return [String]
      def pattern(id, width, light)
        size = @picture ? @surface["picture_width"] || width : repeat(width)
        high = twist? ? width : size
        inside = @picture ? photo(size) : [rect(size, high, @colour), *marks(size, width),
          shine(size, width, light)].join
        %(<pattern id="#{id}" width="#{at(size)}" height="#{at(high)}" y="#{at(-width / 2.0)}" ) +
          %(patternUnits="userSpaceOnUse">#{inside}</pattern>)
      end

      private

      def twist? = @surface["texture"] == "twist" && @picture.nil?

      def repeat(width) = twist? ? width * 0.62 : @surface["repeat"] || width / 3.0

      def at(number) = number.to_f.round(4)

      def photo(size) = %(<image href="#{@picture}" width="#{at(size)}" height="#{at(size)}" ) +
        %(preserveAspectRatio="xMidYMid slice"/>)

      def rect(width, height, fill, y: 0, opacity: 1)
        %(<rect y="#{at(y)}" width="#{at(width)}" height="#{at(height)}" fill="#{fill}" fill-opacity="#{opacity}"/>)
      end

      def shine(size, width, light)
        return unless twist? && !light.zero?
        rect(size, width * 0.22, "#ffffff", y: width * (light.negative? ? 0.14 : 0.64), opacity: 0.3)
      end

      # In one repeat of it.
      def marks(size, width)
        half = at(size / 2.0)
        size = at(size)
        case @surface["texture"]
        when "twist" then [line("M0 #{at(width)} L#{size} 0", width * 0.1)]
        when "herringbone"
          [line("M0 #{half} L#{half} 0 L#{size} #{half} M0 #{size} L#{half} #{half} L#{size} #{size}", size * 0.1)]
        when "weave" then [line("M0 #{half} H#{size} M#{half} 0 V#{size}", size * 0.2)]
        when "net" then [line("M0 0 L#{size} #{size} M#{size} 0 L0 #{size}", size * 0.1)]
        when "check" then [block(0, 0, half, 0.3), block(half, 0, half, 0.14), block(0, half, half, 0.14)]
        when "stripe" then [rect(size, size * 0.3, INK, y: size * 0.35, opacity: 0.42)]
        when "dot" then [%(<circle cx="#{half}" cy="#{half}" r="#{at(size * 0.18)}" fill="#{INK}" fill-opacity="0.4"/>)]
        when "lace"
          [%(<circle cx="#{half}" cy="#{half}" r="#{at(size * 0.33)}" fill="none" stroke="#{INK}" ) +
            %(stroke-opacity="0.42" stroke-width="#{at(size * 0.12)}"/>)]
        else []
        end
      end

      def line(path, width) = %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-opacity="0.42" ) +
        %(stroke-width="#{at(width)}"/>)

      def block(x, y, side, opacity) =
        %(<rect x="#{x}" y="#{y}" width="#{side}" height="#{side}" fill="#{INK}" fill-opacity="#{opacity}"/>)
    end
  end
end
