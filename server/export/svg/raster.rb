# frozen_string_literal: true

module Server
  module Svg
    # An SVG file as pixels.
    module Raster
      module_function

      # @param svg [String] as {Picture} writes it
      # @param wide [Integer] pixels across
      # @param paper [Boolean] whether it lies on white, or on whatever is beneath it
      # @return [String] a PNG file
      # @raise [Vips::Error] for what is no SVG
      def png(svg, wide: 1600, paper: true)
        # Where it is first needed: the library keeps threads, which no process that forks may have.
        require "vips"
        picture = Vips::Image.svgload_buffer(svg, scale: wide / Picture::WIDE.to_f, unlimited: true)
        (paper ? picture.flatten(background: 255) : picture).pngsave_buffer(compression: 9)
      end
    end
  end
end
