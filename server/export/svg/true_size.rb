# frozen_string_literal: true

require "cgi"

module Server
  module Svg
    # A worked plan's form as an SVG file at its true size: both edges of the band, its middle, and
    # its ribs and stem. Any program that prints SVG at full size prints a template.
    module TrueSize
      # Room round the form, and the thickness of lines, in inches.
      MARGIN = 0.25
      LINE = 0.02
      UNIT = {"in" => 1.0, "cm" => 2.54}.freeze

      module_function

      # @param worked [Hash] a worked plan
      # @return [String]
      def write(worked)
        units, form = worked.values_at("units").first, worked["drawing"]["form"]
        margin, line = MARGIN * UNIT[units], LINE * UNIT[units]
        left, top, right, bottom = worked["drawing"]["outline_bounds"]
        box = [left - margin, top - margin, right - left + 2 * margin, bottom - top + 2 * margin].map { _1.round(3) }
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg"
            width="#{box[2]}#{units}" height="#{box[3]}#{units}" viewBox="#{box.join(" ")}">
            <title>#{CGI.escapeHTML(worked["name"])}, true size</title>
            <g fill="none" stroke="black" stroke-width="#{line.round(4)}">
              <path id="outside" d="#{form["outside"]}"/>
              <path id="inside" d="#{form["inside"]}"/>
              <path id="middle" d="#{form["middle"]}" stroke-dasharray="#{(line * 8).round(3)} #{(line * 6).round(3)}"/>
          #{form["parts"].map { |part| "    <path class=\"#{part["kind"]}\" d=\"#{part["line"]}\"/>\n" }.join}  </g>
          </svg>
        SVG
      end
    end
  end
end
