# frozen_string_literal: true

module Lantern
  module Cover
    # Strands wound wide apart, mirrored on both sides from the bottom.
    class Garland < Covering
      include Tested

      covering :garland, title: "Garland", takes: %i[ribbon mesh rope],
        summary: "Strands wound wide apart, mirrored from the bottom."
      counts :turns, :turns
      hands :wrap
      shows turn: :length_per_turn, pitch: :real_pitch
      laid :band

      spread 0.06 # from memory

      option :strands, :count, default: 1, most: 8, label: "Strands"
      option :pitch, :length, most: 60, label: "From turn to turn", default_says: "twice the face"

      runs_along

      figure :turns, :count, "Turns in all", from: :all_turns
      figure :strands, :count, "Strands"
      figure :pitch, :length, "From turn to turn", from: :real_pitch
      figure :length_per_turn, :length, "One turn"
      figure :length, :length, "All strands, both sides"
      figure :gap_wide, :length, "Gap at the wide edge"

      gives :pitch, share: 1.15, says: "turns %s apart"

      vary :pitch, takes: :less, says: "The closest turns"
      vary :strands, takes: :more, says: "The most strands", unit: "strands"

      tested_by "Wind a few turns, measure, and these replace the sum."

      ENDS = 2
      JOIN = 1

      def check
        super
        check_test_piece
        refuse("pitch", "At #{text(pitch)} from turn to turn not one turn fits on each side.") if turns < 1
        refuse_crowd(all_turns, "pitch", "turns")
      end

      def pitch = super || measured_advance || 2 * form.face

      # Whole turns of one strand on one side.
      def turns = (form.run / 2 / pitch + 1e-9).floor

      def all_turns = 2 * strands * turns

      def gap_wide = form.wide_run / all_turns - width

      def width = (material.width || material.diameter).to_f

      # The pitch that whole turns really have.
      def real_pitch = form.run / 2 / turns

      def length_per_turn = measured_turn ||
        Math.hypot(form.girth + Math::PI * round_itself, real_pitch)

      # A rope lies half its own thickness off the form; a strip does not.
      def round_itself = material.diameter.to_f

      def length = 2 * strands * (turns * length_per_turn + ENDS)

      def needs = [run(material: material.id, what: "strands", length:, join: JOIN, least: length_per_turn)]

      def working
        [
          line(:turns, "Turns of a strand, each side", pencil("½ × %l ÷ %l, rounded down", form.run, pitch),
            turns.to_s),
          line(:pitch, "They then lie apart by", pencil("½ × %l ÷ %n", form.run, turns), text(real_pitch)),
          line(:length_per_turn, "One turn", measured_turn ? "by your test piece" :
            turn_sum, text(length_per_turn)),
          line(:length, "All strands, both sides, ends tucked",
            pencil("2 × %n × (%n × %l + %l)", strands, turns, length_per_turn, ENDS), long_text(length))
        ]
      end

      def findings
        [*(test_piece_finding if test_piece),
          *(if @plan.layers.first.id == id
              finding(:note, "shows_form", "The form shows between the strands: paint or cover it first.")
            end),
          *(if real_pitch / strands < width
              finding(:note, "covers_all",
                "Turns this close hide the form. A spiral wrap would tell you how they lap.")
            end)]
      end

      def steps
        [step("garland", "Wind both sides from the bottom",
          "Glue the end behind at the bottom and wind up one side, #{text(real_pitch)} from turn to turn; then the " \
          "other side, mirrored, so that the turns meet at the top. Glue both ends behind.",
          look: "Is the space between the turns even, and do both sides mirror each other?",
          count: all_turns, unit: :turns, minutes: 3 + all_turns * 0.7)]
      end

      def fixings = {glue: 2.0 * strands * 2 + all_turns * 0.25}

      def lies = [Place::Bands.mirrored(form, id:, material:, turns:, strands:, width:)]

      def wound_in(_step) = [length / all_turns] * all_turns

      private

      def turn_sum
        return pencil("√(%l² + %l²)", form.girth, real_pitch) if round_itself.zero?
        pencil("√((%l + π × %l)² + %l²)", form.girth, round_itself, real_pitch)
      end
    end
  end
end
