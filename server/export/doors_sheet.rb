# frozen_string_literal: true

require "prawn"
require_relative "cut_sheet"

module Server
  module Export
    # An occasion's doors on one sheet, in rows and all to one scale: each with its wreath and its name.
    class DoorsSheet
      # Fewer across are no larger than this many would be; the room between them, and for their words, in points.
      LEAST, GAP, WORDS = 4, 10, 34
      FONTS = CutSheet::FONTS

      # @param name [String] of the occasion
      # @param doors [Array<Hash>] each with its `wreath`, its `place`, what it `says`, and its `picture` as a JPEG
      def initialize(name, doors)
        @name, @doors = name, doors
      end

      # @param paper [String] `a4` or `letter`
      # @return [String] a PDF file
      def pdf(paper)
        pdf = Prawn::Document.new(page_size: CutSheet::PAPERS.fetch(paper, "A4"), page_layout: :landscape, margin: 42,
          info: {Title: "#{@name}, its doors", CreationDate: Time.at(0).utc})
        pdf.font_families.update("Sheet" => {normal: "#{FONTS}/DejaVuSans.ttf", bold: "#{FONTS}/DejaVuSans-Bold.ttf"})
        pdf.font "Sheet", size: 8.5
        pdf.text @name, size: 16, style: :bold
        pdf.move_down 6
        across = across(pdf)
        @doors.each_slice(across) { row(pdf, _1, across) }
        pdf.render
      end

      private

      # So few in a row that all of them are on one sheet.
      def across(pdf)
        (LEAST..[LEAST, @doors.size].max).find { |across|
          (@doors.size / across.to_f).ceil * (high(pdf, across) + WORDS) <= pdf.cursor
        } || LEAST
      end

      def wide(pdf, across) = (pdf.bounds.width - (across - 1) * GAP) / across

      def high(pdf, across) = wide(pdf, across) * OnDoor::WINDOW[1] / OnDoor::WINDOW[0]

      def row(pdf, doors, across)
        wide, high = wide(pdf, across), high(pdf, across)
        pdf.start_new_page if pdf.cursor < high + WORDS
        top = pdf.cursor
        doors.each_with_index do |door, i|
          left = i * (wide + GAP)
          pdf.image StringIO.new(door["picture"]), at: [left, top], width: wide if door["picture"]
          words = [{text: "#{door["wreath"]}\n", styles: [:bold]},
            {text: [door["place"], door["says"]].compact.join(", "), color: "555555"}]
          # A name that is long stands smaller.
          pdf.formatted_text_box words, at: [left, top - high - 3], width: wide, height: WORDS - 6, size: 7.5,
            overflow: :shrink_to_fit
        end
        pdf.move_cursor_to top - high - WORDS
      end
    end
  end
end
