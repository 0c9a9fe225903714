# frozen_string_literal: true

require "cgi"

module Server
  module Svg
    # A picture of a worked plan, seen from the front: the form with every turn, coil, knot, loop and row where it
    # lies, in the materials' own colours. Plain shapes only, so that any program draws it and a PDF can hold it.
    class Picture
      # What a material of a kind looks like when nobody said its colour, and what is drawn besides.
      COLOURS = {"rope" => "#c2a26b", "ribbon" => "#d9932b", "fabric" => "#e3d8bf", "mesh" => "#8aa39b",
                 "coat" => "#7f9a5c", "piece" => "#c9573a"}.freeze
      OTHER, INK, WIRE, CORE, LIGHT = "#c9b58f", "#1c2431", "#3f574f", "#dfe2dc", "#e8a33a"
      # Room round the picture, as a share of its width.
      MARGIN = 0.03

      # @param worked [Hash] a worked plan
      # @param materials [Array<Hash>] its plan's
      def initialize(worked, materials)
        @worked = worked
        @drawing = worked["drawing"]
        @colours = materials.to_h { |each| [each["id"], each["colour"] || COLOURS.fetch(each["kind"].to_s, OTHER)] }
      end

      # @return [String] an SVG file
      def svg
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{size[0]}" height="#{size[1]}" viewBox="#{box.join(" ")}">
            <title>#{CGI.escapeHTML(@worked["name"])}</title>
          #{(form + layers).map { "  #{_1}\n" }.join}</svg>
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

      def size = [1000, (1000 / proportion).round]

      def colour(id) = @colours.fetch(id, OTHER)

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
          paints = lie["materials"].map { colour(_1) }
          lie["front"].flat_map { |item| drawn(lie, item["points"], paints[item["colour"]] || OTHER) }
        end
      end

      # @raise [KeyError] for a kind of lie that nobody draws
      def drawn(lie, points, paint)
        way = WAYS.fetch(lie["kind"]) or return []
        send(way, lie, points.each_slice(2).to_a, paint)
      end

      WAYS = {"cord" => :cord, "band" => :area, "knot" => :knot, "line" => :line, "loop" => :loop, "disc" => :disc,
              "panel" => :area, "wash" => nil}.freeze
      private_constant :WAYS

      def cord(lie, points, paint)
        [stroke(line_of(points), INK, lie["width"] * 1.08, round: true),
          stroke(line_of(points), paint, lie["width"], round: true)]
      end

      def area(lie, points, paint) = [shape("#{line_of(points)}Z", paint, [lie["width"] * 0.018, 0.05].min)]

      def line(lie, points, paint)
        [stroke(line_of(points), INK, lie["width"]), stroke(line_of(points), paint, lie["width"] * 0.88)]
      end

      # Two tails from the knot, a dovetail in each end.
      def knot(lie, points, paint)
        (x, y), *ends = points
        half = lie["width"] / 2
        tails = ends.filter_map do |u, v|
          length = Math.hypot(u - x, v - y)
          next if length < 1e-6
          place = placed([x, y], [u, v])
          corners = [[0, -half / 2], [length, -half], [length - half * 0.8, 0], [length, half], [0, half / 2]]
          shape("#{line_of(corners.map(&place))}Z", paint, lie["width"] * 0.05)
        end
        [*tails, circle(x, y, half, paint, lie["width"] * 0.05)]
      end

      # From its foot, full at the tip.
      def loop(lie, points, paint)
        foot, tip = points
        length = Math.hypot(tip[0] - foot[0], tip[1] - foot[1])
        half = [lie["width"] / 2, length * 0.6].min
        place = placed(foot, tip)
        curve = ->(*corners) { "C#{corners.map { |corner| place.call(corner).join(" ") }.join(" ")}" }
        path = "M#{foot.join(" ")}" +
          curve.call([length * 0.25, -half * 0.5], [length * 0.55, -half], [length * 0.8, -half * 0.95]) +
          curve.call([length * 1.06, -half * 0.7], [length * 1.06, half * 0.7], [length * 0.8, half * 0.95]) +
          curve.call([length * 0.55, half], [length * 0.25, half * 0.5], [0, 0]) + "Z"
        [shape(path, paint, half * 0.06)]
      end

      def disc(lie, points, paint)
        (x, y), radius = points.first, lie["width"] / 2
        [circle(x, y, radius, paint, radius * 0.05), circle(x, y, radius * 0.2, LIGHT, 0)]
      end

      # From a place along and across a line to where it lies.
      def placed(from, to)
        length = Math.hypot(to[0] - from[0], to[1] - from[1])
        along = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
        lambda do |(u, v)|
          [from[0] + u * along[0] - v * along[1], from[1] + u * along[1] + v * along[0]].map { _1.round(3) }
        end
      end

      def line_of(points) = points.map.with_index { |(x, y), i| "#{i.zero? ? "M" : "L"}#{x} #{y}" }.join

      def stroke(path, paint, width, round: false)
        %(<path d="#{path}" fill="none" stroke="#{paint}" stroke-width="#{width.to_f.round(4)}") +
          %(#{" stroke-linecap=\"round\"" if round} stroke-linejoin="round"/>)
      end

      def shape(path, paint, edge)
        %(<path d="#{path}" fill="#{paint}" stroke="#{INK}" stroke-width="#{edge.to_f.round(4)}") +
          %( stroke-linejoin="round"/>)
      end

      def circle(x, y, radius, paint, edge)
        %(<circle cx="#{x}" cy="#{y}" r="#{radius.to_f.round(4)}" fill="#{paint}" stroke="#{INK}" ) +
          %(stroke-width="#{edge.to_f.round(4)}"/>)
      end
    end
  end
end
