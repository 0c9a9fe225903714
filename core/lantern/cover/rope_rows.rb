# frozen_string_literal: true

module Lantern
  module Cover
    # Rope in level rows across the whole shape, each as long as the shape is wide there.
    class RopeRows < Covering
      covering :rope_rows, title: "Rope in rows", takes: %i[rope],
        summary: "Level rows of rope across the shape, each as long as it is wide there."
      counts :rows, :rows
      hands :rows
      laid :cord

      spread 0.04 # from memory

      option :start, :length, zero: true, label: "Begin below the top",
        default_says: "the top, or the bottom when the rows end at the top"
      option :stop, :length, zero: true, label: "End below the top", default_says: "the bottom",
        help: "The rows fill the stretch between; 0 is the very top."
      option :round_back, :switch, default: false, label: "Round the back as well"

      figure :rows, :count, "Rows", from: :row_count
      figure :length, :length, "Rope in all"
      figure :longest_row, :length, "The longest row"

      # Half an inch past each side, where a row ends there (common practice).
      PAST = Rational(1, 2)
      JOIN = 1

      def check
        super
        high = form.silhouette.height
        if start > high + 1e-6 || (start >= high - 1e-9 && stop >= high - 1e-9)
          refuse("start", "The rows begin at #{text(start)}, below the form, which is #{text(high)} high.")
        end
        refuse("stop", "The form is #{text(high)} high; rows cannot end at #{text(stop)}.") if stop > high + 1e-6
        if (stop - start).abs < 1e-9
          refuse("stop", "The rows begin and end at the same height, #{text(start)} below the top.")
        end
        refuse_crowd(row_count, "material", "rows")
        if rows.empty?
          refuse("stop", "Between #{text(start)} and #{text(stop)} not one row of #{text(diameter)} finds room.")
        end
      end

      def diameter = material.diameter.to_f

      # Below the top; rows that end at the very top begin at the bottom.
      def start = super&.to_f || ((said?(:stop) && @said.options[:stop].zero?) ? form.silhouette.height : 0.0)

      def stop = super&.to_f || form.silhouette.height

      # The stretch that the rows fill, from the upper level to the lower.
      # @return [(Float, Float)] inches below the top
      def stretch = [start, stop].minmax

      # What would make them reach a level below the top.
      def reaching(level, way) = {((start < stop) == (way == :down)) ? "stop" : "start" => text(level)}

      # One row of it: how far below the top its middle lies, and where it crosses the shape.
      Row = Value.define(:level, :chords, :length)

      # @return [Array<Row>]
      def rows
        @rows ||= begin
          upper, lower = stretch
          count = ((lower - upper) / diameter + 1e-9).floor
          (0...count).filter_map do |i|
            level = upper + (i + 0.5) * diameter
            chords = form.silhouette.chords(form.silhouette.box[1] + level).select { |from, to| to - from >= diameter }
            Row.new(level:, chords:, length: chords.sum { |from, to| row_length(to - from) }) if chords.any?
          end
        end
      end

      def row_count = rows.size

      def length = rows.sum(&:length)

      def longest_row = rows.map(&:length).max

      def needs = [run(material: material.id, what: "rows", length:, join: JOIN, least: rows.map(&:length).min)]

      def working
        widest, narrowest = rows.max_by(&:length), rows.min_by(&:length)
        [
          line(:rows, "Rows", pencil("(%l − %l) ÷ %l, where the shape is wide enough", *stretch.reverse, diameter),
            row_count.to_s),
          line(:longest, "The longest, #{text(widest.level)} below the top", row_sum(widest), text(widest.length)),
          line(:shortest, "The shortest, #{text(narrowest.level)} below the top", row_sum(narrowest),
            text(narrowest.length)),
          line(:length, "All rows", "the sum of all #{row_count}", long_text(length))
        ]
      end

      def findings
        [
          *(if round_back
              finding(:note, "hard_to_hold",
                "Rows round the back are hard to hold while the glue sets; ending at the " \
                "sides is easier.", try: {"round_back" => false})
            end)
        ]
      end

      def steps
        [step("rows", "Lay the rows", "From the widest place, up and down. Tack each in several places; twist the " \
          "last end with glue and push it into the hole left.", count: row_count, unit: :rows,
          minutes: 2 + row_count * A_ROW + length / INCHES_A_MINUTE)]
      end

      def wound_in(_step) = rows.map(&:length)

      # Minutes to begin and end a row, and how much of it is laid in a minute (from memory).
      A_ROW, INCHES_A_MINUTE = 0.4, 20.0

      def fixings = {glue: row_count * 2.0}

      # Between the levels that the rows fill.
      def closes
        top = form.silhouette.box[1]
        upper, lower = stretch.map { top + _1 }
        above = Form::Silhouette.new(form.silhouette.below(upper)).below(lower)
        [Form::Silhouette::Area.new(filled: form.silhouette.below(upper), open: above)]
      end

      # What no row finds room for is twisted together and pushed into.
      def accepts = diameter

      def lies
        top = form.silhouette.box[1]
        items = rows.flat_map { |row|
          row.chords.map { |from, to|
            {points: [[from, top + row.level],
              [to, top + row.level]]}
          }
        }
        [Place::Lie::Cord.new(layer: id, unit: :rows, materials: [material], width: diameter,
          front: items, back: round_back ? items : [])]
      end

      private

      # As wide as the shape is there, twice with the thickness or once with what goes past both ends.
      def row_sum(row)
        times = "#{row.chords.size} × " if row.chords.size > 1
        pencil("#{"2 × " if round_back}%l across + #{times}2 × %l", row.chords.sum { |from, to| to - from },
          round_back ? form.section.depth : PAST)
      end

      def row_length(chord) = round_back ? 2 * chord + 2 * form.section.depth : chord + 2 * PAST
    end
  end
end
