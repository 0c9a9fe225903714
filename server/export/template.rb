# frozen_string_literal: true

require "prawn"
require_relative "../http/problem"
require_relative "cut_sheet"

module Server
  module Export
    # An outline at its true size, as SVG or over as many pages as it takes: every page overlaps the next,
    # says where it belongs, and carries a bar that proves the printer honest.
    class Template
      # Points to an inch, and what a printer leaves white at every edge; how far pages overlap.
      PER_INCH = 72.0
      WHITE = 36
      OVERLAP = 28.35
      PAPERS = {"a4" => [595.28, 841.89], "letter" => [612.0, 792.0]}.freeze
      # The bar: 100 mm, or 4 in.
      BARS = {"cm" => [100 / 25.4 * PER_INCH, "100 mm"], "in" => [4 * PER_INCH, "4 in"]}.freeze
      # Room at the foot for the bar and the words.
      FOOT = 40
      MOST_PAGES = 120

      # @param template [Lantern::Place::Template]
      # @param units [String]
      def initialize(template, units)
        @template, @units = template, units
        xs, ys = template.outlines.flatten(1).transpose
        @left, @top = xs.min, ys.min
        @width, @height = (xs.max - @left) * PER_INCH, (ys.max - @top) * PER_INCH
      end

      # @return [String] an SVG file whose size is in millimetres
      def svg
        size = [@width, @height].map { (_1 / PER_INCH * 25.4).round(3) }
        place = ->((x, y)) { "#{((x - @left) * 25.4).round(3)} #{((y - @top) * 25.4).round(3)}" }
        paths = @template.outlines.map { |points| "M#{points.map(&place).join("L")}Z" }
        <<~SVG
          <svg xmlns="http://www.w3.org/2000/svg"
            width="#{size[0]}mm" height="#{size[1]}mm" viewBox="0 0 #{size.join(" ")}">
          <title>#{@template.title}</title><path d="#{paths.join}" fill="none" stroke="#000" stroke-width="0.3"/>
          </svg>
        SVG
      end

      # @return [String] a PDF file
      # @raise [Problem] when it takes too many pages
      def pdf(paper)
        size = PAPERS.fetch(paper, PAPERS["a4"])
        @wide, @high = size[0] - 2 * WHITE, size[1] - 2 * WHITE - FOOT
        columns, rows = pages(@width, @wide), pages(@height, @high)
        if columns * rows > MOST_PAGES
          raise Problem.at("form", "At its true size this takes #{columns * rows} pages; " \
            "#{MOST_PAGES} are printed at most. Take the SVG to a larger printer.")
        end
        pdf = Prawn::Document.new(page_size: size, margin: 0, skip_page_creation: true,
          info: {Title: @template.title, CreationDate: Time.at(0).utc})
        pdf.font_families.update("Sheet" => {normal: "#{CutSheet::FONTS}/DejaVuSans.ttf",
                                             bold: "#{CutSheet::FONTS}/DejaVuSans-Bold.ttf"})
        rows.times { |row| columns.times { |column| page(pdf, row, column, rows, columns, size) } }
        pdf.render
      end

      private

      def pages(length, room) = [((length - OVERLAP) / (room - OVERLAP)).ceil, 1].max

      def page(pdf, row, column, rows, columns, size)
        pdf.start_new_page(size:, margin: 0)
        pdf.font "Sheet", size: 9
        outline(pdf, column * (@wide - OVERLAP), row * (@high - OVERLAP), size[1] - WHITE)
        marks(pdf, row, column, rows, columns, size)
        foot(pdf, row, column, rows, columns)
      end

      # What of the outline lies on this page.
      def outline(pdf, from_x, from_y, top)
        pdf.save_graphics_state do
          pdf.add_content("#{WHITE} #{(top - @high).round(3)} #{@wide.round(3)} #{@high.round(3)} re W n")
          pdf.line_width 0.8
          @template.outlines.each do |points|
            pdf.stroke_polygon(
              *points.map { |x, y| [WHITE + (x - @left) * PER_INCH - from_x, top - ((y - @top) * PER_INCH - from_y)] }
            )
          end
        end
      end

      # Crosses where this page lies on its neighbours, and dashes along the overlap.
      def marks(pdf, row, column, rows, columns, size)
        pdf.line_width 0.4
        top, bottom = size[1] - WHITE, size[1] - WHITE - @high
        right = (column < columns - 1) ? WHITE + @wide - OVERLAP : nil
        below = (row < rows - 1) ? bottom + OVERLAP : nil
        pdf.dash(3)
        pdf.stroke_line [right, top], [right, bottom] if right
        pdf.stroke_line [WHITE, below], [WHITE + @wide, below] if below
        pdf.undash
        [right, (WHITE if column.positive?)].compact.product([top - 60, bottom + 60]).each { |x, y| cross(pdf, x, y) }
        [below, (top if row.positive?)].compact.product([WHITE + 60, WHITE + @wide - 60])
          .each { |y, x| cross(pdf, x, y) }
      end

      def cross(pdf, x, y)
        pdf.stroke_line [x - 8, y], [x + 8, y]
        pdf.stroke_line [x, y - 8], [x, y + 8]
      end

      def foot(pdf, row, column, rows, columns)
        length, says = BARS.fetch(@units)
        pdf.line_width 1
        pdf.stroke_line [WHITE, WHITE + 14], [WHITE + length, WHITE + 14]
        [0, length].each { |x| pdf.stroke_line [WHITE + x, WHITE + 9], [WHITE + x, WHITE + 19] }
        pdf.draw_text "This bar must measure #{says}: print at 100 %, not “fit to page”.", at: [WHITE, WHITE]
        pdf.draw_text "#{@template.title}, page #{("A".ord + row).chr}#{column + 1} of " \
          "#{("A".ord + rows - 1).chr}#{columns}", at: [WHITE + length + 14, WHITE + 11]
      end
    end
  end
end
