# frozen_string_literal: true

module Lantern
  module Cover
    # Rope in level rows across the whole shape, each as long as the shape is wide there.
    class RopeRows < Covering
      covering :rope_rows, title: "Rope in rows", takes: %i[rope],
        summary: "Level rows of rope across the shape, each as long as it is wide there."
      counts :rows, "rows"
      hand :rows

      spread 0.04 # from memory

      option :start, :length, zero: true, default: 0r, label: "Begin below the top"
      option :stop, :length, label: "End below the top", default_says: "the bottom"
      option :round_back, :switch, default: false, label: "Round the back as well"

      # Half an inch past each side, where a row ends there (common practice).
      PAST = Rational(1, 2)
      JOIN = 1

      def check
        super
        high = form.silhouette.height
        refuse("start", "The rows begin at #{text(start)}, below the form, which is #{text(high)} high.") if start >= high
        refuse("stop", "The rows must end below where they begin, #{text(start)}.") if stop <= start.to_f
        refuse("stop", "The form is #{text(high)} high; rows cannot end at #{text(stop)}.") if stop > high + 1e-6
        refuse_crowd(rows.size, "material", "rows")
        refuse("stop", "Between #{text(start)} and #{text(stop)} not one row of #{text(diameter)} finds room.") if rows.empty?
      end

      def diameter = material.diameter.to_f

      def stop = super&.to_f || form.silhouette.height

      # One row of it: how far below the top its middle lies, and where it crosses the shape.
      Row = Value.define(:level, :chords, :length)

      # @return [Array<Row>]
      def rows
        @rows ||= begin
          count = ((stop - start) / diameter + 1e-9).floor
          (0...count).filter_map do |i|
            level = start.to_f + (i + 0.5) * diameter
            chords = form.silhouette.chords(form.silhouette.box[1] + level).select { |from, to| to - from >= diameter }
            Row.new(level:, chords:, length: chords.sum { |from, to| row_length(to - from) }) if chords.any?
          end
        end
      end

      def length = rows.sum(&:length)

      def needs = [Need.run(material: material.id, what: "rows", length:, join: JOIN, least: rows.map(&:length).min, spread: self.class.spread)]

      def figures = {rows: rows.size, length:, longest_row: rows.map(&:length).max}

      def working
        widest, narrowest = rows.max_by(&:length), rows.min_by(&:length)
        more = round_back ? "twice, and twice the thickness" : "and 2 × #{bare(PAST)}"
        [
          line("Rows", "(#{bare(stop)} − #{bare(start)}) ÷ #{bare(diameter)}, where the shape is wide enough", rows.size.to_s),
          line("The longest, #{text(widest.level)} below the top", "as wide as the shape there, #{more}", text(widest.length)),
          line("The shortest, #{text(narrowest.level)} below the top", "as wide as the shape there, #{more}", text(narrowest.length)),
          line("All rows", "the sum of all #{rows.size}", long_text(length))
        ]
      end

      def findings
        [
          *(finding(:note, "slides", "On a taper rope slides towards the narrow end: tack each row in several places.") if (rows.map(&:length).max - rows.map(&:length).min) > diameter),
          *(finding(:note, "hard_to_hold", "Rows round the back are hard to hold while the glue sets; ending at the sides is easier.", try: {"round_back" => false}) if round_back)
        ]
      end

      def steps
        [step("rows", "Lay the rows", "From the widest place, up and down. Tack each in several places; twist the last end with glue and push it into the hole left.", count: rows.size, unit: "rows", minutes: minutes - 2)]
      end

      # Just over a minute a row (from memory).
      def minutes = 2 + rows.size * 1.2

      def glue = rows.size * 2.0

      def lies
        top = form.silhouette.box[1]
        items = rows.flat_map { |row| row.chords.map { |from, to| {points: [[from, top + row.level], [to, top + row.level]]} } }
        [Draw::Lie.new(layer: id, what: "rows", kind: :cord, materials: [material], width: diameter, reach: diameter / 2, front: items, back: round_back ? items : [])]
      end

      private

      def row_length(chord) = round_back ? 2 * chord + 2 * form.section.depth : chord + 2 * PAST
    end
  end
end
