# frozen_string_literal: true

require "json"
require "zlib"
require_relative "../storage/photo"

module Server
  module Export
    # A plan that goes along in its picture: packed in the metadata of an SVG, in a text chunk of a PNG; and read back,
    # as whatever comes from outside is.
    module Carried
      KEY = "crisp-lantern-plan"
      # Bytes of a plan, unpacked.
      MOST = 1_000_000
      DEEPEST = 40
      IN_SVG = /<metadata id="#{KEY}">([A-Za-z0-9_-]+)<\/metadata>/
      IN_PNG = /\Apng-comment-\d+-#{KEY}\z/
      # Raised for a picture without a plan that can be read.
      None = Problem.of(422, "No plan goes along with this picture or link. What is sent on by messengers is often " \
        "packed anew and loses it: ask for the file itself.")

      module_function

      # @param plan [Hash] a plan document
      # @return [String] as it stands in a picture
      def packed(plan) = [Zlib::Deflate.deflate(JSON.generate(plan), 9)].pack("m0").tr("+/", "-_").delete("=")

      # @param svg [String] as {Svg::Picture} writes it
      # @return [String] the same with a plan in it
      def into_svg(svg, plan) = svg.sub("<defs>") { "<metadata id=\"#{KEY}\">#{packed(plan)}</metadata>\n  <defs>" }

      # @param picture [String] a file from outside
      # @return [Hash] the plan that is in it, of which nothing is known yet
      # @raise [None]
      def plan_in(picture)
        raise None if picture.bytesize > Photo::MOST
        plan_of(Photo.picture?("image/png", picture) ? in_png(picture) : picture.b[IN_SVG, 1])
      end

      # @param packed [String, nil] a plan as {packed} gives it, or a link that ends in one
      # @return [Hash] the plan, of which nothing is known yet
      # @raise [None]
      def plan_of(packed)
        plan = JSON.parse(unpacked(packed.to_s.strip.split("#plan=").last.to_s), max_nesting: DEEPEST)
        raise None unless plan.is_a?(Hash)
        plan
      rescue Zlib::Error, JSON::ParserError, ArgumentError, EncodingError
        raise None
      end

      def in_png(picture)
        require "vips"
        # Its head alone: nothing is decoded.
        image = Vips::Image.pngload_buffer(picture)
        image.get_fields.find { _1.match?(IN_PNG) }&.then { image.get(_1) }
      rescue Vips::Error
        raise None
      end

      def unpacked(text)
        inflate, plan = Zlib::Inflate.new, +""
        inflate.inflate(text.tr("-_", "+/").unpack1("m")) do |part|
          plan << part
          raise None if plan.bytesize > MOST
        end
        plan.force_encoding("UTF-8")
      ensure
        inflate&.close
      end
      private_class_method :in_png, :unpacked
    end
  end
end
