# frozen_string_literal: true

require_relative "cut_sheet"

module Server
  module Export
    # A worked occasion on paper: its days, what to buy for all wreaths, one cut sheet for all, and a
    # label for every bundle.
    class OccasionSheet < CutSheet
      LABELS_ACROSS = 3
      LABEL_HEIGHT = 52
      DAYS = {"buy_by" => "Buy by", "start_by" => "Begin by", "make_by" => "Made by", "day" => "They hang"}.freeze

      # A part that is handed out: of which material, from which package, how much.
      # @param part [Hash] as a worked occasion has it
      # @return [String]
      def self.part_says(part)
        return "#{part["name"]}: #{part["says"]}" unless part["from"]
        "#{part["name"]}, #{part["from"]}: #{part["count"]} #{part["what"]}, #{part["says"]}" \
          "#{" each" if part["count"] > 1}"
      end

      private

      def write(pdf)
        pdf.text glyphs("#{@worked["quantity"]} wreaths, #{@worked["minutes"] / 60} h #{@worked["minutes"] % 60} min " \
          "at the bench, #{money(@worked["cost"]["to_pay"] || @worked["cost"]["to_buy"])} to pay"), color: "555555"
        pdf.text DAYS.filter_map { |name, says| "#{says} #{day(@worked["dates"][name])}" if @worked.dig("dates", name) }
          .join(" · "), color: "555555"
        buying(pdf)
        lengths(pdf)
        handed_out(pdf)
        ready(pdf)
        cautions(pdf)
        labels(pdf)
      end

      def day(iso) = Lantern::Measure::Words.day(Date.iso8601(iso))

      def handed_out(pdf)
        pdf.start_new_page if pdf.cursor < 120
        pdf.move_down 14
        pdf.text "Handed out, wreath by wreath", size: 12, style: :bold
        @worked["hand_out"].each do |each|
          next if each["parts"].empty?
          pdf.start_new_page if pdf.cursor < 40
          pdf.move_down 5
          pdf.text glyphs("#{each["wreath"]}#{", #{each["quantity"]} alike" if each["quantity"] > 1}"), style: :bold
          each["parts"].each { |part| pdf.indent(10) { pdf.text glyphs(OccasionSheet.part_says(part)) } }
        end
      end

      # Cut them apart and tie one to each bundle.
      def labels(pdf)
        return if @worked["bundles"].empty?
        pdf.start_new_page
        pdf.text "Labels for the bundles", size: 12, style: :bold
        pdf.move_down 6
        width = pdf.bounds.width / LABELS_ACROSS
        @worked["bundles"].each_slice(LABELS_ACROSS) do |row|
          pdf.start_new_page if pdf.cursor < LABEL_HEIGHT
          top = pdf.cursor
          row.each_with_index { |bundle, i| label(pdf, bundle, i * width, top, width) }
          pdf.move_down LABEL_HEIGHT
        end
      end

      def label(pdf, bundle, left, top, width)
        pdf.line_width 0.5
        pdf.dash(2)
        pdf.stroke_rectangle [left, top], width, LABEL_HEIGHT
        pdf.undash
        pdf.text_box glyphs(bundle["wreath"]), at: [left + 6, top - 6], width: width - 12, height: 12, style: :bold,
          overflow: :shrink_to_fit
        pdf.text_box glyphs("#{bundle["count"]} #{bundle["what"]}, #{bundle["says"]}"), at: [left + 6, top - 20],
          width: width - 12, height: 12, overflow: :shrink_to_fit
        pdf.text_box glyphs(bundle["material"]), at: [left + 6, top - 34], width: width - 12, height: 11, size: 8,
          overflow: :shrink_to_fit
      end
    end
  end
end
