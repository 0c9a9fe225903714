# frozen_string_literal: true

module Lantern
  module Cover
    # Rope or cord wound round the band, coil beside coil. On a curve the coils touch on the inside
    # edge and fan out; short fillers pushed in from the front close what gapes outside.
    class RopeCoil < Covering
      include Coiled
      include LegByLeg
      include Tested

      covering :rope_coil, title: "Rope coil", takes: %i[rope],
        summary: "Coils touch on the inside edge; short pieces close the outside."
      counts :turns, :coils
      hands :coil, :filler
      shows turn: :length_per_turn, filler: :filler_length
      laid :cord

      spread 0.04 # from memory

      option :school, :choice, default: :tight_inside, label: "Lie of the coils",
        choices: {tight_inside: "Tight inside", even: "Even"},
        help: "Tight inside closes the outside with fillers; even leaves the gaps."
      option :accepted_gap, :length, zero: true, most: 12, label: "Gap you accept outside",
        default_says: "six tenths of the cord's thickness"
      closes_up
      option :fan, :count, least: 0, most: 60, fine: true, label: "Coils over a corner",
        default_says: "as many as close it", help: "Over every corner; they pile up at the tight point."
      option :ease, :number, default: 0.0, least: 0.0, most: 0.05, fine: true, label: "Laid looser by",
        help: "0.01 is one in a hundred: as much as a hand gives without seeing it."
      option :filler_length, :length, fine: true, most: 120, label: "Length of a filler",
        default_says: "three quarters of the girth and an inch to tuck at each end"

      runs_along

      coil_figures
      figure :fanned, :count, "Coils over corners"
      figure :gap_left, :length, "Gap left, on the average"
      figure :fillers, :count, "Fillers"
      figure :coils_between_fillers, :count, "Coils between fillers"
      figure :piece_length, :length, "Each filler"
      figure :length, :length, "Cord in the coils", from: :coils

      # A gap as wide as the cord is thick still passes for one (common practice).
      gives :accepted_gap, to: :diameter, says: "gaps of up to %s outside"
      # One in a hundred of a covering's length nobody sees (common practice).
      gives :ease, to: 0.01, by: 0.01, says: "the coils laid %s looser", percent: true
      gives :school, to: :even, says: "no fillers, the coils spread evenly"

      vary :accepted_gap, takes: :less, says: "The smallest gap outside"

      # Six tenths of the thickness is the gap that makers accept (common practice).
      ACCEPTED_SHARE = 3 / 5r
      # A filler goes over the outside edge and is tucked at both ends (from memory: measure one).
      FILLER_OF_GIRTH = 0.75
      TUCK = 1

      def check
        super
        check_coils
      end

      def accepted_gap = super || ACCEPTED_SHARE * material.diameter

      def touching = lying * (1 + ease)

      # How many fillers bring the average gap at the wide edge under what is accepted.
      def fillers = @fillers ||= leg_stretches.flatten.sum(&:fillers)

      def coils_between_fillers = fillers.zero? ? nil : turns.fdiv(fillers).floor

      def filler_length = @filler_length ||= up_to_mark(super || FILLER_OF_GIRTH * form.girth + 2 * TUCK)

      def piece_length = fillers.zero? ? nil : filler_length

      def needs
        return [coil_need] if fillers.zero?
        [coil_need, pieces_of(:fillers, material: material.id, length: filler_length, count: fillers, own_cut: true)]
      end

      def working
        return coil_working if fillers.zero?
        [
          *coil_working,
          line(:fillers, "Fillers", fillers_sum, "#{fillers}, one every #{coils_between_fillers}"),
          line(:filler_length, "Each filler", filler_sum, text(filler_length))
        ]
      end

      def findings = [*coil_findings, *form_shows, *crowded_fillers]

      def steps
        winding = step("coil",
          "Coil the cord, #{(school == :tight_inside) ? "tight on the inside edge" : "spread evenly"}",
          "#{starting} #{pushing}, then a tack of glue behind every few coils.",
          look: (EVEN_LOOK if school == :even),
          count: turns, unit: :coils, minutes: coil_minutes)
        return [winding] if fillers.zero?
        # A little more than half a minute a filler (from memory).
        filling = step("fill", "Push in the fillers",
          "One every #{coils_between_fillers} coils, never two side by side: measure each in its gap, over the " \
          "outside edge with an inch to tuck at both ends, about #{text(filler_length)}, and cut it from what the " \
          "coils left. Both ends tucked and glued behind.",
          because: "they are cut from what each length leaves at its end", count: fillers, unit: :fillers,
          move: :filler, minutes: fillers * 0.6)
        [winding, filling]
      end

      def pushing
        return "Spread the coils until the gaps are alike" if school == :even
        ease.zero? ? "Push the coils together" : "Leave a hair between the coils, so that #{turns} go round"
      end

      EVEN_LOOK = "Are the gaps between the coils alike all round?"
      private_constant :EVEN_LOOK

      def fixings = {glue: coil_glue + fillers * 1.0}

      def closes = form.areas

      # Evenly laid, coils leave the gaps that they leave; a gap wider than the cord is told anyway.
      def accepts = [accepted_gap.to_f, (school == :even) ? [gap_wide, diameter].max : 0].max

      def mend(corner)
        return ["add coils there", {"fan" => fan_turns.max + 2}] if corner
        (school == :even) ? ["push in fillers", {"school" => "tight_inside"}] : ["push the coils together there", nil]
      end

      def lies
        return [coil_lie] if fillers.zero?
        [coil_lie, cord_lie(:fillers, seats.fillers, seats.fillers)]
      end

      private

      def fitting_sum(edge) = ease.zero? ? super : pencil("%l ÷ (%l + %p), rounded down", edge, lying, ease)

      def fillers_among(wide, coils)
        return 0 unless school == :tight_inside
        ((wide - coils * (lying + accepted_gap)) / lying - 1e-9).ceil.clamp(0, coils.floor)
      end

      def filler_sum
        return "as measured" if said?(:filler_length)
        pencil("¾ × %l + 2 × %l, up to the mark", form.girth, TUCK)
      end

      def form_shows
        return if fillers.positive? || gap_wide <= diameter
        finding(:warn, "form_shows", "The form shows at the outside edge: gaps come to #{text(gap_wide)}, wider than " \
          "the cord is thick. Fillers close them; so would a thinner cord, or a form painted in the cord’s colour.",
          at: "outside", try: ({"school" => "tight_inside"} if school == :even))
      end

      def crowded_fillers
        return unless fillers.positive? && fillers * 2 > turns
        finding(:warn, "crowded_fillers", "#{fillers} fillers among #{turns} coils would lie side by side. A thinner " \
          "cord, or a wider accepted gap, needs fewer.", at: "outside")
      end
    end
  end
end
