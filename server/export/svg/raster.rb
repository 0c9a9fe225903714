# frozen_string_literal: true

module Server
  module Svg
    # An SVG file as pixels.
    module Raster
      module_function

      # @param svg [String] as {Picture} writes it
      # @param wide [Integer] pixels across
      # @param paper [Boolean] whether it lies on white, or on whatever is beneath it
      # @param notes [Hash{String=>String}] texts that go along in the file, by their names
      # @yieldparam picture [Vips::Image] before it is written
      # @yieldreturn [Vips::Image] what is written
      # @return [String] a PNG file
      # @raise [Vips::Error] for what is no SVG
      def png(svg, wide: 1600, paper: true, notes: {})
        picture = drawn(svg, wide)
        picture = picture.flatten(background: 255) if paper
        picture = yield picture if block_given?
        notes.each_with_index do |(name, text), i|
          picture = picture.mutate { _1.set_type!(GObject::GSTR_TYPE, "png-comment-#{i}-#{name}", text) }
        end
        picture.pngsave_buffer(compression: 9)
      end

      # Clear where nothing is; a quarter of what the same takes as PNG.
      # @return [String] a WebP file
      # @raise [Vips::Error] for what is no SVG
      def webp(svg, wide:) = drawn(svg, wide).webpsave_buffer(Q: 80, strip: true)

      def drawn(svg, wide)
        # Where it is first needed: the library keeps threads, which no process that forks may have.
        require "vips"
        Vips::Image.svgload_buffer(svg, scale: wide / Picture::WIDE.to_f, unlimited: true)
      end

      private_class_method :drawn
    end
  end
end
