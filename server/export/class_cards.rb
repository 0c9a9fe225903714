# frozen_string_literal: true

require_relative "occasion_sheet"
require_relative "pattern_card"

module Server
  module Export
    # What a teacher prints of an occasion: a pattern card for every wreath, each on pages of its own, and a label for
    # every bag, with what is in it.
    class ClassCards
      # Of labels, in points; and how many stand beside one another.
      HEIGHT, ACROSS, MARGIN = 130, 2, 8

      # @param worked [Hash] a worked occasion
      # @param cards [Array<PatternCard>] in the order of its wreaths
      def initialize(worked, cards)
        @worked, @cards = worked, cards
      end

      # @param paper [String] `a4` or `letter`
      # @return [String] a PDF file
      def pdf(paper)
        pdf = CutSheet.document("#{@worked["name"]}, class", paper)
        @cards.each do |card|
          card.onto(pdf)
          pdf.start_new_page
        end
        labels(pdf)
        CutSheet.finish(pdf)
      end

      private

      def labels(pdf)
        pdf.text "Labels for the bags", size: 12, style: :bold
        pdf.move_down 6
        width = pdf.bounds.width / ACROSS
        bags.each_slice(ACROSS) do |row|
          pdf.start_new_page if pdf.cursor < HEIGHT
          row.each_with_index { |bag, i| label(pdf, bag, i * width, pdf.cursor, width) }
          pdf.move_down HEIGHT
        end
      end

      # Of several wreaths alike, a bag for each; what is shared out is of each of them.
      def bags
        @worked["hand_out"].flat_map do |each|
          (1..each["quantity"]).map { |number|
            each.merge("bag" => (each["quantity"] > 1) ? "#{each["wreath"]}, #{number} of #{each["quantity"]}" :
              each["wreath"])
          }
        end
      end

      def label(pdf, bag, left, top, width)
        pdf.line_width 0.5
        pdf.stroke_color "000000"
        pdf.dash(2)
        pdf.stroke_rectangle [left, top], width, HEIGHT
        pdf.undash
        pdf.fill_color "000000"
        inner = width - 2 * MARGIN
        pdf.text_box CutSheet.glyphs(bag["bag"]), at: [left + MARGIN, top - MARGIN], width: inner, height: 14, size: 11,
          style: :bold, overflow: :shrink_to_fit
        shared = (bag["quantity"] > 1) ? "Shared among #{bag["quantity"]}:\n" : ""
        pdf.text_box CutSheet.glyphs(shared + bag["parts"].map { OccasionSheet.part_says(_1) }.join("\n")),
          at: [left + MARGIN, top - MARGIN - 18], width: inner, height: HEIGHT - 2 * MARGIN - 18, size: 8.5,
          overflow: :shrink_to_fit
      end
    end
  end
end
