# frozen_string_literal: true

require "rexml/document"
require_relative "../../http/problem"
require_relative "path_data"
require_relative "simplify"

module Server
  module Svg
    # Outlines from an SVG file that was drawn elsewhere: every closed shape in it, in its place, as
    # corners for a form. The largest comes first.
    #
    #   Server::Svg::Reader.read(File.read("leaf.svg"))[0]   # => {"points" => [[0, 3.5], ...], ...}
    class Reader
      MOST_BYTES = 800_000
      MOST_POINTS = 100_000
      MOST_OUTLINES = 40
      MOST_NESTING = 60
      # Rounder than a fifth of this share of the largest is a speck.
      SPECK = 0.0005

      # What is in a file but not on the drawing.
      UNSEEN = %w[defs clipPath mask symbol pattern marker metadata title desc style foreignObject].freeze

      # @param text [String]
      # @return [Array<Hash>] `points`, `width`, `height` (in the file's own measure), largest first
      # @raise [Problem] in a sentence, at `svg`
      def self.read(text) = new(text).outlines

      def initialize(text)
        @text = text
        @count = 0
      end

      def outlines
        if @text.bytesize > MOST_BYTES
          refuse("The file is larger than #{MOST_BYTES / 1000} kB; an outline is a few. Simplify it in the program " \
            "that drew it.")
        end
        refuse("The file is not text in UTF-8.") unless @text.dup.force_encoding("UTF-8").valid_encoding?
        if @text.match?(/<!ENTITY/i)
          refuse("The file declares entities, which can hide anything; save it as plain SVG.")
        end
        found = shapes(root, Transform::NONE, 0)
        if found.empty?
          refuse("There is no closed outline in this file: no path, polygon, rectangle, circle or ellipse.")
        end
        describe(found)
      end

      private

      def root
        text = @text.dup.force_encoding("UTF-8")
        document = REXML::Document.new(text)
        refuse("This is not an SVG file.") unless document.root&.name == "svg"
        document.root
      rescue REXML::ParseException, REXML::UndefinedNamespaceException, ArgumentError
        refuse("This is not an SVG file that can be read.")
      end

      def shapes(element, transform, depth)
        refuse("The file nests its groups more than #{MOST_NESTING} deep.") if depth > MOST_NESTING
        refuse_scripts(element)
        return [] if UNSEEN.include?(element.name) || hidden?(element)
        here = transform * Transform.read(element.attributes["transform"])
        own = subpaths(element).map { |points| points.map { here.call(_1) } }
        unless own.all? { |points| points.flatten.all? { _1.abs <= Transform::LARGEST } }
          refuse("The file holds numbers that no drawing can be made with.")
        end
        @count += own.sum(&:size)
        if @count > MOST_POINTS
          refuse("The outline has more than #{MOST_POINTS} points. Simplify it in the program that drew it.")
        end
        own + element.elements.to_a.flat_map { shapes(_1, here, depth + 1) }
      end

      def refuse_scripts(element)
        scripted = element.name == "script" || element.attributes.each_attribute.any? { |each|
          each.name.match?(
                  /\Aon/i
                ) || each.value.match?(/\A\s*javascript:/i)
        }
        refuse("The file carries a script; save it as plain SVG.") if scripted
      end

      def hidden?(element)
        element.attributes["display"] == "none" || element.attributes["style"].to_s.match?(/display\s*:\s*none/)
      end

      def subpaths(element)
        case element.name
        when "path" then PathData.read(element.attributes["d"].to_s)
        when "polygon", "polyline" then [element.attributes["points"].to_s.scan(Transform::NUMBER).map(&:to_f)
          .each_slice(2).select { _1.size == 2 }]
        when "rect" then rectangle(element)
        when "circle" then ellipse(element, "r", "r")
        when "ellipse" then ellipse(element, "rx", "ry")
        else []
        end
      rescue PathData::Unreadable => error
        refuse("A path in the file cannot be read: #{error.message}.")
      end

      def rectangle(element)
        x, y, width, height = number(element, "x"), number(element, "y"), number(element, "width"),
          number(element, "height")
        return [] unless width.positive? && height.positive?
        [[[x, y], [x + width, y], [x + width, y + height], [x, y + height]]]
      end

      def ellipse(element, across, down)
        x, y, rx, ry = number(element, "cx"), number(element, "cy"), number(element, across), number(element, down)
        return [] unless rx.positive? && ry.positive?
        PathData.read("M#{x - rx} #{y}A#{rx} #{ry} 0 0 1 #{x + rx} #{y}A#{rx} #{ry} 0 0 1 #{x - rx} #{y}Z")
      end

      def number(element, name)
        found = element.attributes[name].to_s[Transform::NUMBER].to_f
        (found.abs > Transform::LARGEST) ? refuse("The file holds numbers that no drawing can be made with.") : found
      end

      def describe(found)
        sized = found.filter_map { |points| measured(cleaned(points)) }.sort_by { -_1[:area] }
        refuse("There is no outline in this file that encloses anything.") if sized.empty?
        sized.select { _1[:area] >= sized[0][:area] * SPECK }.first(MOST_OUTLINES).map do |outline|
          points = Simplify.outline(outline[:points], most: Lantern::Form::Outline::MOST,
            size: [outline[:width], outline[:height]].max)
          unit = 1000.0 / [outline[:width], outline[:height]].max
          left, top = outline[:points].transpose.map(&:min)
          {"points" => points.map { |x, y| [((x - left) * unit).round(3), ((y - top) * unit).round(3)] },
           "width" => outline[:width].round(4), "height" => outline[:height].round(4)}
        end
      end

      # Without points said twice, the last one being the first among them.
      def cleaned(points)
        points = points.chunk_while { |a, b| close?(a, b) }.map(&:first)
        points.pop while points.size > 1 && close?(points.first, points.last)
        points
      end

      def close?(a, b) = (a[0] - b[0]).abs < 1e-9 && (a[1] - b[1]).abs < 1e-9

      def measured(points)
        return if points.size < 3 || points.flatten.any? { !_1.finite? }
        xs, ys = points.transpose
        area = (points + [points.first]).each_cons(2).sum { |(ax, ay), (bx, by)| ax * by - bx * ay }.abs / 2
        width, height = xs.max - xs.min, ys.max - ys.min
        {points:, area:, width:, height:} if area > 1e-12 && width.positive? && height.positive?
      end

      def refuse(says) = raise(Problem.at("svg", says))
    end
  end
end
