# frozen_string_literal: true

require_relative "svg/picture"

module Server
  module Export
    # The frames of one of the hand's moves in a row on paper, what each says beneath, with a step's own measures and
    # colours on them. What is on them is declared with the move; what is here prints it.
    class Frames
      # What a frame is painted with besides the step's materials.
      PAINTS = {"ink" => Svg::Surface::INK, "light" => "#ffffff", "paper" => "#fbf8f1", "form" => "#dfe2dc",
                "wire" => "#3f574f", "stem" => "#2e4a7d", "metal" => "#b8bcc2", "hand" => "#f3e4d0",
                "glue" => "#f4d9a0", "way" => Svg::Picture::PAINTS["accent"]}.freeze
      # The step's materials, and what they are where it has fewer.
      MATERIALS = {"first" => "#d9932b", "second" => "#2e4a7d", "third" => "#b4532f"}.freeze
      WIDE, HIGH = Lantern::Place::Move::Frame::WIDE, Lantern::Place::Move::Frame::HIGH
      # Room between two, in points; sizes of letters, beneath them and on them, in points and in a frame's units.
      GUTTER, CAPTION, LETTER = 6, 7.5, 12
      # Of a row; fewer are no larger.
      LEAST = 5

      # @return [Numeric] points that a row takes at most, with its words
      def self.room(pdf) = pdf.bounds.width / LEAST * HIGH / WIDE + 6 * CAPTION

      # @param move [Lantern::Place::Move]
      # @param colours [Array<String>] of the step's materials, such as "#d9932b"
      # @param measures [Hash{String=>String}] as steps show them
      def initialize(move, colours: [], measures: {})
        @frames, @measures = move.frames, measures
        @paints = PAINTS.merge(MATERIALS, MATERIALS.keys.zip(colours).to_h.compact)
        MATERIALS.each_key { @paints["#{_1}_shade"] = Svg::Surface.shaded(@paints[_1]) }
      end

      # Draws them where the page's cursor is, on a new page where they would not fit.
      # @param pdf [Prawn::Document]
      # @yieldparam text [String] that is written
      # @yieldreturn [String] in letters that its font has
      def draw(pdf, &glyphs)
        @pdf, @glyphs = pdf, glyphs || :itself.to_proc
        @wide = (pdf.bounds.width + GUTTER) / [@frames.size, LEAST].max - GUTTER
        high = @wide * HIGH / WIDE
        pdf.start_new_page if pdf.cursor < Frames.room(pdf)
        top = pdf.cursor - 3
        feet = @frames.each_with_index.map do |frame, i|
          one(frame, i * (@wide + GUTTER), top)
          caption("#{i + 1} #{filled(frame.says)}", i * (@wide + GUTTER), top - high - 2)
        end
        pdf.move_cursor_to(feet.min - 4)
      end

      private

      def filled(text) = @glyphs.call(Lantern::Place::Move::Frame.filled(text, @measures))

      def caption(says, left, top)
        box = Prawn::Text::Box.new(says, document: @pdf, at: [left, top], width: @wide, size: CAPTION)
        box.render
        top - box.height
      end

      # In units of a frame, y down; nothing beyond its edges.
      def one(frame, left, top)
        scale = @wide / WIDE
        @pdf.save_graphics_state do
          @pdf.rectangle([left, top], @wide, HIGH * scale)
          @pdf.add_content("W n")
          @pdf.join_style = :round
          frame.marks.each { mark(_1, left, top, scale) }
          frame.labels.each { label(_1, left, top, scale) }
        end
      end

      def mark(mark, left, top, scale)
        @pdf.fill_color(paint(mark.fill)) if mark.fill
        @pdf.stroke_color(paint(mark.stroke)) if mark.stroke
        @pdf.line_width = mark.width * scale if mark.width
        @pdf.cap_style = (mark.cap == :butt) ? :butt : :round
        on, off = mark.dash&.split&.map { _1.to_f * scale }
        on ? @pdf.dash(on, space: off) : @pdf.undash
        @pdf.transparent(mark.opacity || 1) do
          along(mark.path) { |x, y| [left + x * scale, top - y * scale] }
          @pdf.add_content({[true, true] => "B", [true, false] => "f"}.fetch([!!mark.fill, !!mark.stroke], "S"))
        end
      end

      def paint(name) = @paints.fetch(name.to_s).delete("#")

      # @yieldparam x [Float]
      # @yieldparam y [Float]
      # @yieldreturn [(Float, Float)] on the page
      def along(path, &at)
        here = nil
        path.scan(/([A-Z])([^A-Z]*)/) do |letter, numbers|
          places = numbers.split.map(&:to_f).each_slice(2).map(&at)
          case letter
          when "M" then @pdf.move_to(*places)
          when "L" then @pdf.line_to(*places)
          when "C" then @pdf.curve_to(places.last, bounds: places.first(2))
          when "Q" then @pdf.curve_to(places.last, bounds: cubic(here, *places))
          when "Z" then @pdf.close_path
          end
          here = places.last || here
        end
      end

      # A curve by one arm as one by two.
      def cubic(from, arm, to)
        [from, to].map { |point| point.zip(arm).map { |own, pull| own + (pull - own) * 2 / 3.0 } }
      end

      def label(label, left, top, scale)
        says = filled(label.says)
        return if says.empty?
        size = LETTER * scale
        wide = @pdf.width_of(says, size:, style: :bold)
        begins = left + label.x * scale - {start: 0, middle: wide / 2, end: wide}.fetch(label.anchor)
        @pdf.fill_color(paint("ink"))
        @pdf.draw_text(says, at: [begins, top - label.y * scale], size:, style: :bold)
      end
    end
  end
end
