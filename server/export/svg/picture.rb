# frozen_string_literal: true

require "cgi"
require_relative "marks"
require_relative "surface"

module Server
  module Svg
    # A picture of a worked plan, seen from the front: the form with every turn, coil, knot, loop and row where it
    # lies, in the materials' own colours and textures. One file that any program draws. How a thing looks is declared
    # with it; what is here prints that.
    class Picture
      # What a material of a kind looks like when nobody said its colour, and what is drawn besides.
      COLOURS = {"rope" => "#c2a26b", "ribbon" => "#d9932b", "fabric" => "#e3d8bf", "mesh" => "#8aa39b",
                 "coat" => "#7f9a5c", "piece" => "#c9573a"}.freeze
      OTHER = "#c9b58f"
      PAINTS = {"wire" => "#3f574f", "foam" => "#dfe2dc", "board" => "#d8c39b",
                "vine" => "#a5825c", "ink" => Surface::INK, "light" => "#ffffff",
                "accent" => "#e8a33a"}.freeze
      # Room round the picture, as a share of its width; how wide it is drawn, in pixels.
      MARGIN = 0.03
      WIDE = 1000

      # @param worked [Hash] a worked plan
      # @param materials [Array<Hash>] its plan's
      # @param photos [Hash{String=>String}] data addresses of the photos of materials, by their names
      # @param back [Boolean] whether it is seen from behind
      def initialize(worked, materials, photos = {}, back: false)
        @worked, @side = worked, back ? "back" : "front"
        @drawing = worked["drawing"]
        @colours = materials.to_h { |each| [each["id"], each["colour"] || COLOURS.fetch(each["kind"].to_s, OTHER)] }
        @surfaces = @drawing["surfaces"].to_h { |each| [each["material"], each] }
        @photos = photos
      end

      # @return [String] an SVG file
      def svg
        layers = @drawing["layers"]
        drawn = (back? ? layers.flat_map { through(_1) } : []) + form + layers.flat_map { laid(_1) }
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{size[0]}" height="#{size[1]}" viewBox="#{box.join(" ")}">
            <title>#{CGI.escapeHTML(@worked["name"])}</title>
            <defs>#{patterns.values.join}</defs>
          #{turned(drawn.map { "  #{_1}\n" }.join)}</svg>
        SVG
      end

      # @return [Array<Float>] what is drawn of the wreath's plane: from its left and top, so wide and so high
      def box
        left, top, right, bottom = @drawing["bounds"]
        left, right = -right, -left if back?
        room = (right - left) * MARGIN
        [left - room, top - room, right - left + 2 * room, bottom - top + 2 * room].map { _1.to_f.round(3) }
      end

      # @return [Numeric] how wide it is for its height
      def proportion = box[2] / box[3].to_f

      # What is drawn, and in what colours.
      # @return [Array<(String, Array<String>)>]
      def legend
        shown.map { |lie| ["#{lie["front"].size} #{lie["what"]}", lie["materials"].map { colour(_1) }] }
      end

      # @return [String] what a material is drawn with, such as "#c2a26b"
      def colour(id) = @colours.fetch(id, OTHER)

      private

      def shown = @drawing["layers"].reject { _1["front"].empty? || %w[pinches].include?(_1["unit"]) }

      def back? = @side == "back"

      # From behind, left is right.
      def turned(drawn) = back? ? %(  <g transform="scale(-1 1)">\n#{drawn}  </g>\n) : drawn

      def size = [WIDE, (WIDE / proportion).round]

      # Every pattern that is drawn with, by its name.
      def patterns = @patterns ||= {}

      def form
        coating = @drawing["layers"].reverse.find { look(_1).coat? }
        coat = coating && colour(coating["materials"].first)
        @drawing["form"]["marks"].map do |mark|
          paint = (coat if mark["coated"]) || PAINTS.fetch(mark["paint"])
          %(<path d="#{mark["path"]}" fill="none" stroke="#{paint}" stroke-width="#{mark["width"]}" ) +
            %(stroke-linecap="#{mark["cap"]}" stroke-linejoin="#{mark["join"]}"/>)
        end
      end

      def look(lie) = Lantern::Place::Lie::KINDS.fetch(lie["kind"]).look

      # One lie from the front, a path for every mark and paint.
      def laid(lie)
        look = look(lie)
        Lantern::Place::Look::Print.new(look, lie["width"]).of(lie[@side]) { |item, direction|
          lie["more"] ? PAINTS["accent"] : fill(lie["materials"][item], lie["width"], look, direction)
        }.map { |made| Marks.write(made, lie["width"], PAINTS) } + pictured(lie) + words(lie)
      end

      # The photos that pieces are cut out of; each stands in the file once.
      def pictured(lie)
        return [] if back?
        Array(lie["pictured"]).filter_map { |each|
          photo = @photos[each["picture"]] or next
          name = "p#{@photos.keys.index(each["picture"])}"
          patterns[name] ||= %(<image id="#{name}" href="#{photo}" width="1" height="1" preserveAspectRatio="none"/>)
          Marks.picture(name, each["placed"])
        }
      end

      def words(lie) = back? ? [] : Array(lie["written"]).map { Marks.words(_1) }

      # One lie of the front as it is seen from behind, beside the form and through it: no more than its colours, in the
      # shade.
      def through(lie)
        look = look(lie)
        Lantern::Place::Look::Print.new(look, lie["width"]).of(lie["front"], far: true) { |item, _|
          lie["more"] ? PAINTS["accent"] : Surface.shaded(colour(lie["materials"][item]))
        }.map { |made| Marks.write(made, lie["width"], PAINTS) }
      end

      # What a strip of a material is filled with that runs in a direction.
      def fill(id, width, look, direction)
        paint = look.round? ? Surface.lightened(colour(id), direction) : colour(id)
        surface = Surface.new(@surfaces[id], paint, @photos[@surfaces.dig(id, "picture")])
        return paint if surface.plain?
        name = "m#{@colours.keys.index(id)}-#{(width * 1000).round}-#{direction}#{"r" if look.round?}"
        patterns[name] ||= surface.pattern(name, width, direction)
        "url(##{name})"
      end
    end
  end
end
