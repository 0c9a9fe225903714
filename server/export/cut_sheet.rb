# frozen_string_literal: true

require "prawn"
require "prawn/table"
require_relative "sheet"

module Server
  module Export
    # The cut sheet of a worked plan, on paper and as rows: every length opened with its cuts in order,
    # a box to tick, and what is to be bought.
    class CutSheet
      PAPERS = {"a4" => "A4", "letter" => "LETTER"}.freeze
      FONTS = "/usr/share/fonts/truetype/dejavu"
      HEADS = %w[material from times length width unit cut count cut_length cut_width left keep].freeze
      # Marks that a tape has: lengths are written to the nearest.
      MARKS = {"in" => Rational(1, 16), "cm" => Rational(1, 10)}.freeze

      # @param worked [Hash] a worked plan
      def initialize(worked)
        @worked = worked
      end

      # @return [String] a CSV file; lengths are numbers in the plan's units
      def csv
        rows = @worked["cut_sheet"].flat_map do |bar|
          bar["cuts"].map do |cut|
            [name(bar["material"]), bar["from"], bar["times"], number(bar["length"]), number(bar.dig("sheet", "width")),
              @worked["units"], word(cut), cut["count"], number(cut["length"]), number(cut["width"]), left_over(bar),
              bar["keep"] ? "yes" : "no"]
          end
        end
        Sheet.write([HEADS, *rows])
      end

      # A document to write on. The same plan gives the same file: no date in it.
      # @param title [String]
      # @param paper [String] `a4` or `letter`
      # @return [Prawn::Document]
      def self.document(title, paper)
        pdf = Prawn::Document.new(page_size: PAPERS.fetch(paper, "A4"), margin: 42, compress: true,
          info: {Title: title, CreationDate: Time.at(0).utc})
        pdf.font_families.update("Sheet" => {normal: "#{FONTS}/DejaVuSans.ttf", bold: "#{FONTS}/DejaVuSans-Bold.ttf"})
        pdf.font "Sheet", size: 9.5
        pdf
      end

      ABOVE, BELOW = "⁰¹²³⁴⁵⁶⁷⁸⁹", "₀₁₂₃₄₅₆₇₈₉"
      private_constant :ABOVE, :BELOW

      # @param text [String]
      # @return [String] its fractions in letters that the font has: 31 1/2 becomes 31 ¹⁄₂
      def self.glyphs(text)
        text.gsub(/(\d+ )?(\d+)\/(\d+)/) do
          "#{$1&.strip}#{"\u2009" if $1}#{$2.tr("0-9", ABOVE)}⁄#{$3.tr("0-9", BELOW)}"
        end
      end

      # @param pdf [Prawn::Document] whose last page is finished
      # @return [String] a PDF file
      def self.finish(pdf)
        pdf.number_pages "<page> of <total>", at: [0, -14], align: :right, size: 8
        pdf.render
      end

      # @param paper [String] `a4` or `letter`
      # @return [String] a PDF file
      def pdf(paper)
        CutSheet.finish(CutSheet.document("#{@worked["name"]}, #{subject}", paper).tap { onto(_1) })
      end

      # Writes it on a page that is empty, and on as many more as it takes.
      # @param pdf [Prawn::Document]
      def onto(pdf)
        pdf.text glyphs(@worked["name"]), size: 16, style: :bold
        write(pdf)
      end

      private

      def subject = "cut sheet"

      # A length to the nearest mark of a tape, in the plan's units.
      def number(length)
        return unless length
        mark = MARKS.fetch(@worked["units"])
        near = (length / mark).round * mark
        (near.denominator == 1) ? near.to_i : near.to_f
      end

      # What is left of a length; of cloth, the pieces that are worth keeping.
      def left_over(bar) = bar["sheet"] ? bar["sheet"]["rest"].join("; ") : number(bar["left"])

      # "1 strip", "3 strips": the word that goes with the number.
      def word(cut) = (cut["count"] == 1) ? cut["one"] : cut["what"]

      def cut_says(cut)
        return "#{cut["says"]} for the #{cut["what"]}" if cut["shape"] == "run"
        "#{cut["count"]} #{word(cut)} of #{cut["says"]}"
      end

      def write(pdf)
        pdf.text glyphs(@worked["tape"].map { "#{_1["figure"]} #{_1["says"]}" }.join(" · ")), color: "555555"
        lengths(pdf)
        buying(pdf)
        ready(pdf)
        cautions(pdf)
      end

      # What it takes besides the material.
      def ready(pdf)
        held = (@worked["fixings"] || []).map { "#{_1["says"]} (#{_1["for"]})" }
        return if held.empty? && @worked["tools"].empty?
        pdf.move_down 12
        pdf.text glyphs("Have ready: #{(@worked["tools"] + held).join(", ")}.")
      end

      def lengths(pdf) =
        @worked["cut_sheet"].group_by { _1["material"] }.each { |material, bars| material(pdf, material, bars) }

      def name(id) = @worked["materials"].find { _1["id"] == id }["name"]

      def material(pdf, id, bars)
        # A heading does not stand alone at the foot of a page.
        pdf.start_new_page if pdf.cursor < 90
        pdf.move_down 12
        pdf.text glyphs(name(id)), size: 12, style: :bold
        longest = bars.map { _1["length"] }.max
        bars.each { |bar| bar(pdf, bar, longest) }
      end

      def bar(pdf, bar, longest)
        pdf.start_new_page if pdf.cursor < (bar["sheet"] ? 60 + sheet_height(pdf, bar) : 48)
        pdf.move_down 6
        top = pdf.cursor
        pdf.stroke_rectangle [0, top - 1], 9, 9
        pdf.text_box glyphs("#{bar["from"].sub(/\A./, &:upcase)}, " \
          "#{bar.dig("sheet", "says") || bar["says"]}#{" each, all alike" if bar["times"] > 1}"), at: [16, top],
          width: 300, style: :bold
        pdf.text_box glyphs(left(bar)), at: [316, top], width: pdf.bounds.width - 316, align: :right
        pdf.move_down 15
        bar["sheet"] ? laid_out(pdf, bar) : drawn(pdf, bar, longest)
        pdf.text glyphs(alike(bar["cuts"]).map { |cut| cut_says(cut) }.join("; "))
      end

      # Cuts of one kind said once, however many blocks they lie in.
      def alike(cuts) = cuts.group_by { _1.values_at("what", "says", "shape") }
        .map { |_, same| same[0].merge("count" => same.sum { _1["count"] }) }

      def left(bar)
        if bar["sheet"]
          return bar["sheet"]["rest"].empty? ? "no piece left to keep" : "keep #{bar["sheet"]["rest"].join(", ")}"
        end
        return "used up" unless bar["left"] > 0
        bar["keep"] ? "#{bar["left_says"]} left, keep it" : "#{bar["left_says"]} left"
      end

      # The length to scale, its cuts in order.
      def drawn(pdf, bar, longest)
        scale = pdf.bounds.width / longest
        top = pdf.cursor
        pdf.line_width 0.5
        bar["cuts"].each do |cut|
          pdf.fill_color((cut["shape"] == "run") ? "DDCFAE" : "F2B84B")
          [cut["count"], 400].min.times { |i|
            pdf.fill_and_stroke_rectangle [(cut["at"] + i * cut["length"]) * scale,
              top], cut["length"] * scale, 10
          }
        end
        pdf.fill_color "000000"
        pdf.stroke_rectangle [0, top], bar["length"] * scale, 10
        pdf.move_down 14
      end

      # A sheet lies with its length across the paper.
      def sheet_scale(pdf, bar) =
        [pdf.bounds.width / bar["sheet"]["length"], 150.0 / bar["sheet"].values_at("width", "end_width").max].min

      def sheet_height(pdf, bar) = bar["sheet"].values_at("width", "end_width").max * sheet_scale(pdf, bar)

      def laid_out(pdf, bar)
        scale, height, top = sheet_scale(pdf, bar), sheet_height(pdf, bar), pdf.cursor
        width, length, far = bar["sheet"].values_at("width", "length", "end_width")
        pdf.line_width 0.5
        middle = top - height / 2
        pdf.stroke_polygon [0, middle + width * scale / 2], [length * scale, middle + far * scale / 2],
          [length * scale, middle - far * scale / 2], [0, middle - width * scale / 2]
        bar["cuts"].each do |cut|
          block = cut["block"]
          [block["columns"] * block["rows"], cut["count"], 600].min.times do |i|
            row, column = i.divmod(block["columns"])
            deep, wide = block["length"] / block["rows"], block["width"] / block["columns"]
            pdf.fill_color "F2B84B"
            pdf.fill_and_stroke_rectangle [(block["y"] + row * deep) * scale,
              top - (block["x"] + column * wide) * scale], deep * scale, wide * scale
          end
        end
        pdf.fill_color "000000"
        pdf.move_down height + 4
      end

      def money(amount) = Lantern::Measure::Money.says(BigDecimal(amount), @worked["currency"])

      def buying(pdf)
        rows = @worked["materials"].flat_map { |material|
          material["buy"]
            .map { |buy| [glyphs(material["name"]), buy["count"].to_s, money(buy["cost"])] }
        }
        pdf.move_down 14
        pdf.text "To buy", size: 12, style: :bold
        return pdf.text("Nothing: the stash is enough.") if rows.empty?
        pdf.table([["", "packages", "comes to"], *rows, ["", "", money(@worked["cost"]["to_buy"])]], width: 320,
          cell_style: {borders: [:bottom], padding: [3, 4], border_width: 0.3}) do
          column(1..2).align = :right
        end
      end

      def cautions(pdf)
        pdf.move_down 12
        pdf.text glyphs(@worked["cautions"].map { _1["says"] }.join(" ")), size: 7.5, color: "555555"
      end

      def glyphs(text) = CutSheet.glyphs(text)
    end
  end
end
