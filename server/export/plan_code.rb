# frozen_string_literal: true

require "rqrcode"

module Server
  module Export
    # A plan as a square code on paper or in a picture: a link with the plan after its `#`, for any installation that it
    # is given to.
    module PlanCode
      # Bytes that a code may hold: as many as the largest can at its safest level (ISO/IEC 18004, version 40, level H).
      MOST = 1273
      # Points a side: 45 mm.
      SIDE = 45 / 25.4 * 72
      BESIDE = 14

      module_function

      # @param pdf [Prawn::Document]
      # @param link [String]
      # @param says [String] what stands beside it
      def draw(pdf, link, says)
        top = pdf.cursor
        pdf.fill_color "000000"
        squares(link).each { |x, y, long, one| pdf.fill_rectangle [x, top - y], long, one }
        pdf.bounding_box([SIDE + BESIDE, top], width: pdf.bounds.width - SIDE - BESIDE, height: SIDE) { pdf.text says }
      end

      # Pixels of a picture to a square of its code, and white squares round it (ISO/IEC 18004: four).
      DOT, QUIET = 5, 4

      # Whether a link is short enough for a code.
      def fits?(link) = link.bytesize <= MOST

      # A picture with the code of a link in its lower right corner, on a strip of its own.
      # @param picture [Vips::Image] on paper
      # @param link [String]
      # @return [Vips::Image]
      def into(picture, link)
        rows = modules(link)
        bytes = rows.flat_map { |row| row.map { |dark| dark ? 0 : 255 } }.pack("C*")
        code = Vips::Image.new_from_memory(bytes, rows.size, rows.size, 1, :uchar)
          .embed(QUIET, QUIET, rows.size + 2 * QUIET, rows.size + 2 * QUIET, extend: :white).zoom(DOT, DOT)
          .colourspace(:srgb)
        picture.join(code, :vertical, expand: true, align: :high, background: 255)
      end

      # Runs of dark squares, row by row.
      # @return [Array<(Float, Float, Float, Float)>] from the left, from the top, how long, how high
      def squares(link)
        rows = modules(link)
        one = SIDE / rows.size
        rows.flat_map.with_index do |row, y|
          row.each_index.chunk_while { |a, b| row[a] == row[b] }.select { row[_1.first] }
            .map { |run| [run.first * one, y * one, run.size * one, one] }
        end
      end

      def modules(link) = RQRCode::QRCode.new(link, level: :l, mode: :byte_8bit).modules
      private_class_method :squares, :modules
    end
  end
end
