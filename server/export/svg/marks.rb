# frozen_string_literal: true

module Server
  module Svg
    # Printed marks as elements of an SVG file.
    module Marks
      INK = "#1c2431"

      module_function

      # @param made [Lantern::Place::Look::Print::Made]
      # @param width [Numeric] of the strip
      # @param paints [Hash{String=>String}] the colours of what is not the stuff itself
      # @return [String]
      def write(made, width, paints)
        mark, paint, half = made.mark, paints.fetch(made.paint, made.paint), width / 2.0
        return line(made.path, mark, paint, half) if mark.shape == :line
        edge = mark.edge && %( stroke="#{INK}" stroke-opacity="0.7" stroke-width="#{at(half * mark.edge)}" ) +
          %(stroke-linejoin="round")
        %(<path d="#{made.path}" fill="#{paint}" fill-opacity="#{mark.opacity}"#{edge}/>)
      end

      def line(path, mark, paint, half)
        %(<path d="#{path}" fill="none" stroke="#{paint}" stroke-opacity="#{mark.opacity}" ) +
          %(stroke-width="#{at(half * mark.width)}" stroke-linejoin="round" ) +
          %(stroke-linecap="#{mark.path ? "round" : "butt"}"/>)
      end

      def at(number) = number.to_f.round(4)

      private_class_method :line, :at
    end
  end
end
