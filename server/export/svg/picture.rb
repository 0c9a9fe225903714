# frozen_string_literal: true

require "cgi"
require_relative "folds"
require_relative "ribbon"
require_relative "surface"

module Server
  module Svg
    # A picture of a worked plan, seen from the front: the form with every turn, coil, knot, loop and row where it
    # lies, in the materials' own colours and textures. One file that any program draws.
    class Picture
      # What a material of a kind looks like when nobody said its colour, and what is drawn besides.
      COLOURS = {"rope" => "#c2a26b", "ribbon" => "#d9932b", "fabric" => "#e3d8bf", "mesh" => "#8aa39b",
                 "coat" => "#7f9a5c", "piece" => "#c9573a"}.freeze
      OTHER, INK, WIRE, CORE, LIGHT = "#c9b58f", "#1c2431", "#3f574f", "#dfe2dc", "#e8a33a"
      # Room round the picture, as a share of its width; how wide it is drawn, in pixels.
      MARGIN = 0.03
      WIDE = 1000

      # @param worked [Hash] a worked plan
      # @param materials [Array<Hash>] its plan's
      # @param photos [Hash{String=>String}] data addresses of the photos of materials, by their names
      def initialize(worked, materials, photos = {})
        @worked = worked
        @drawing = worked["drawing"]
        @colours = materials.to_h { |each| [each["id"], each["colour"] || COLOURS.fetch(each["kind"].to_s, OTHER)] }
        @surfaces = @drawing["surfaces"].to_h { |each| [each["material"], each] }
        @photos = photos
      end

      # @return [String] an SVG file
      def svg
        drawn = form + layers
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{size[0]}" height="#{size[1]}" viewBox="#{box.join(" ")}">
            <title>#{CGI.escapeHTML(@worked["name"])}</title>
            <defs>#{patterns.values.join}</defs>
          #{drawn.map { "  #{_1}\n" }.join}</svg>
        SVG
      end

      # @return [Numeric] how wide it is for its height
      def proportion = box[2] / box[3].to_f

      # What is drawn, and in what colours.
      # @return [Array<(String, Array<String>)>]
      def legend
        shown.map { |lie| ["#{lie["front"].size} #{lie["what"]}", lie["materials"].map { colour(_1) }] }
      end

      private

      def shown = @drawing["layers"].reject { _1["front"].empty? || %w[pinches].include?(_1["unit"]) }

      def box
        left, top, right, bottom = @drawing["bounds"]
        room = (right - left) * MARGIN
        [left - room, top - room, right - left + 2 * room, bottom - top + 2 * room].map { _1.to_f.round(3) }
      end

      def size = [WIDE, (WIDE / proportion).round]

      def colour(id) = @colours.fetch(id, OTHER)

      # Every pattern that is drawn with, by its name.
      def patterns = @patterns ||= {}

      # What a strip of a material is filled with, by its width and the side on which the light falls.
      def fill(id, width, light = 0)
        surface = Surface.new(@surfaces[id], colour(id), @photos[@surfaces.dig(id, "picture")])
        return colour(id) if surface.plain?
        name = "m#{@colours.keys.index(id)}-#{(width * 1000).round}-#{light + 1}"
        patterns[name] ||= surface.pattern(name, width, light)
        "url(##{name})"
      end

      def form = @drawing["form"]["parts"].map { part(_1) } + @drawing["form"]["bands"].flat_map { band(_1) }

      def part(part)
        stroke(part["line"], WIRE, part["width"] || @drawing["form"]["face"] * 0.03)
      end

      def band(band)
        coat = @drawing["layers"].reverse.find { _1["kind"] == "wash" }
        paint = coat && colour(coat["materials"].first)
        return rails(band, paint || WIRE) if band["base"] == "wire"
        [stroke(band["middle"], WIRE, band["face"]), stroke(band["middle"], paint || CORE, band["face"] * 0.97)]
      end

      def rails(band, paint)
        bars = band["crossbars"].map { |x, y, u, v| "M#{x} #{y}L#{u} #{v}" }
        [*bars, *band["rails"]].map { stroke(_1, paint, band["rail_width"]) }
      end

      def layers
        @drawing["layers"].flat_map do |lie|
          lie["front"].flat_map { |item| drawn(lie, item["points"], lie["materials"][item["colour"]]) }
        end
      end

      # @raise [KeyError] for a kind of lie that nobody draws
      def drawn(lie, points, material)
        way = WAYS.fetch(lie["kind"]) or return []
        send(way, lie, points.each_slice(2).to_a, material)
      end

      WAYS = {"cord" => :cord, "band" => :band_of, "knot" => :knot, "line" => :line, "loop" => :loop, "disc" => :disc,
              "panel" => :panel, "tail" => :tail, "gathered" => :gathered, "cushion" => :cushion, "wash" => nil}.freeze
      private_constant :WAYS

      def cord(lie, (from, to), material)
        width, angle = lie["width"], angle(from, to)
        long = Math.hypot(to[0] - from[0], to[1] - from[1]) + width * 0.8
        [%(<rect #{placed(from, angle)} x="#{at(-width * 0.4)}" y="#{at(-width / 2.0)}" width="#{at(long)}" ) +
          %(height="#{at(width)}" rx="#{at(width / 2.0)}" fill="#{fill(material, width, lit(angle))}" ) +
          %(stroke="#{INK}" stroke-opacity="0.75" stroke-width="#{at(width * 0.06)}"/>)]
      end

      # In its own frame, so that the texture runs along it.
      def band_of(lie, points, material)
        from, to = points.first, points[points.size / 2 - 1]
        angle = angle(from, to)
        local = points.map { |point| turned(point, from, -angle) }
        [%(<polygon #{placed(from, angle)} points="#{local.map { _1.join(",") }.join(" ")}" ) +
          %(fill="#{fill(material, lie["width"])}" #{edge([lie["width"] * 0.018, 0.05].min)}/>)]
      end

      # With the folds that run along it from end to end.
      def gathered(lie, points, material)
        folds = FOLDS.map { |share| line_of(Folds.along(points, share)) }.join
        [*band_of(lie, points, material), fold(folds, lie["width"] * 0.018)]
      end

      # Where folds lie across a gathered strip (from memory).
      FOLDS = [0.2, 0.4, 0.62, 0.82].freeze

      # Gathered at both ties, full between them; light on the side of the upper left.
      def cushion(lie, points, material)
        middle = points.transpose.map { _1.sum / points.size }
        [*panel(lie, points, material), fold(Folds.from_ties(points, middle).map { line_of(_1) }.join, 0.05),
          %(<path d="#{line_of(Folds.lit(points, middle))}" fill="none" stroke="#ffffff" stroke-opacity="0.4" ) +
            %(stroke-width="0.1" stroke-linecap="round"/>)]
      end

      def fold(path, width) = %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-opacity="0.4" ) +
        %(stroke-width="#{at(width)}" stroke-linejoin="round"/>)

      def panel(lie, points, material)
        [%(<path d="#{line_of(points)}Z" fill="#{fill(material, lie["width"])}" ) +
          %(#{edge([lie["width"] * 0.03, 0.05].min)}/>)]
      end

      def line(lie, points, material)
        [stroke(line_of(points), INK, lie["width"]), stroke(line_of(points), colour(material), lie["width"] * 0.88)]
      end

      # Two tails from the knot, a dovetail in each end.
      def knot(lie, points, material)
        from, *ends = points
        tails = ends.flat_map { |to| tail(lie, [from, to], material) }
        [*tails, circle(*from, lie["width"] / 2, colour(material), lie["width"] * 0.05)]
      end

      def tail(lie, (from, to), material)
        length = Math.hypot(to[0] - from[0], to[1] - from[1])
        (length < 1e-6) ? [] : group(from, to, Ribbon.tail(length, lie["width"], fill(material, lie["width"])))
      end

      # From its foot, full at the tip.
      def loop(lie, (foot, tip), material)
        length = Math.hypot(tip[0] - foot[0], tip[1] - foot[1])
        group(foot, tip, Ribbon.loop(length, lie["width"], fill(material, lie["width"]), lit(angle(foot, tip))))
      end

      def disc(lie, points, material)
        (x, y), radius = points.first, lie["width"] / 2
        petals = [0, 72, 144, 216, 288].map do |turn|
          %(<ellipse transform="translate(#{x} #{y}) rotate(#{turn})" cy="#{at(-radius * 0.52)}" ) +
            %(rx="#{at(radius * 0.38)}" ry="#{at(radius * 0.44)}" fill="#{colour(material)}" ) +
            %(#{edge(radius * 0.05)}/>)
        end
        [circle(x, y, radius, colour(material), radius * 0.05, 0.35), *petals, circle(x, y, radius * 0.2, LIGHT, 0)]
      end

      def angle(from, to) = Math.atan2(to[1] - from[1], to[0] - from[0])

      # Light comes from the upper left: on which side of a strip that runs at this angle it falls.
      def lit(angle) = (Math.cos(angle) - Math.sin(angle) >= 0) ? -1 : 1

      def at(number) = number.to_f.round(4)

      def turned((x, y), (from_x, from_y), angle)
        dx, dy = x - from_x, y - from_y
        [dx * Math.cos(angle) - dy * Math.sin(angle), dx * Math.sin(angle) + dy * Math.cos(angle)].map { _1.round(3) }
      end

      def placed((x, y), angle) = %(transform="translate(#{x} #{y}) rotate(#{(angle * 180 / Math::PI).round(2)})")

      def group(from, to, shapes) = [%(<g #{placed(from, angle(from, to))}>#{shapes.join}</g>)]

      def line_of(points) = points.map.with_index { |(x, y), i| "#{i.zero? ? "M" : "L"}#{x} #{y}" }.join

      def edge(width) = %(stroke="#{INK}" stroke-opacity="0.7" stroke-width="#{at(width)}" stroke-linejoin="round")

      def stroke(path, paint, width)
        %(<path d="#{path}" fill="none" stroke="#{paint}" stroke-width="#{at(width)}" stroke-linejoin="round"/>)
      end

      def circle(x, y, radius, paint, edge, opacity = 1)
        %(<circle cx="#{x}" cy="#{y}" r="#{at(radius)}" fill="#{paint}" fill-opacity="#{opacity}" stroke="#{INK}" ) +
          %(stroke-width="#{at(edge)}"/>)
      end
    end
  end
end
