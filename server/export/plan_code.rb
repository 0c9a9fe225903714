# frozen_string_literal: true

require "rqrcode"

module Server
  module Export
    # A plan as a square code on paper: a link with the plan after its `#`, for any installation that it is given to.
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

      # Runs of dark squares, row by row.
      # @return [Array<(Float, Float, Float, Float)>] from the left, from the top, how long, how high
      def squares(link)
        rows = RQRCode::QRCode.new(link, level: :l, mode: :byte_8bit).modules
        one = SIDE / rows.size
        rows.flat_map.with_index do |row, y|
          row.each_index.chunk_while { |a, b| row[a] == row[b] }.select { row[_1.first] }
            .map { |run| [run.first * one, y * one, run.size * one, one] }
        end
      end
      private_class_method :squares
    end
  end
end
