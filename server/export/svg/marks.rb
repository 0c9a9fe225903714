# frozen_string_literal: true

require "cgi"

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

      # What is written on a piece, with a halo, so that it is read on any colour.
      # @param written [Hash] as a drawing has it
      # @return [String]
      def words(written)
        x, y, size = *written["at"], written["size"]
        %(<text x="#{at(x)}" y="#{at(y)}" font-size="#{at(size)}" text-anchor="middle" ) +
          %(font-family="sans-serif" fill="#{INK}" stroke="#ffffff" stroke-opacity="0.75" ) +
          %(stroke-width="#{at(size * 0.12)}" paint-order="stroke">#{CGI.escapeHTML(written["words"])}</text>)
      end

      # A picture of one by one by its upper left, upper right and lower left corners.
      def picture(name, placed)
        x, y, *others = placed
        right, down = others.each_slice(2).map { |across, below| [across - x, below - y] }
        %(<use href="##{name}" transform="matrix(#{[*right, *down, x, y].map { at(_1) }.join(" ")})"/>)
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
