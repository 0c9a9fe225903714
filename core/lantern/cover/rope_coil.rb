# frozen_string_literal: true

module Lantern
  module Cover
    # Rope or cord wound round the band, coil beside coil. On a curve the coils touch on the inside
    # edge and fan out; short fillers pushed in from the front close what gapes outside.
    class RopeCoil < Covering
      covering :rope_coil, title: "Rope coil", takes: %i[rope],
        summary: "Coils touch on the inside edge; short pieces close the outside."
      counts :turns, "coils"
      hand :coil

      spread 0.04 # from memory

      option :school, :choice, default: :tight_inside, label: "Lie of the coils", choices: {tight_inside: "Tight inside", even: "Even"},
        help: "Tight inside closes the outside with fillers; even leaves the gaps."
      option :accepted_gap, :length, zero: true, most: 12, label: "Gap you accept outside", default_says: "six tenths of the cord's thickness"
      option :squash, :number, fine: true, default: 1.0, least: 0.3, most: 1.5, label: "Closing up",
        help: "How wide a coil lies against its own thickness: soft rope closes up, 1 is not at all. A guess: measure ten coils."
      tested "Wind ten coils, measure, and these replace the sum."
      option :filler_length, :length, fine: true, most: 120, label: "Length of a filler", default_says: "three quarters of the girth and an inch to tuck at each end"

      vary :accepted_gap, takes: :less, says: "The smallest gap outside"

      # Each new rope is glued where the last ended, and both ends are tucked (common practice).
      JOIN = 1
      ENDS = 2
      # Six tenths of the thickness is the gap that makers accept (common practice).
      ACCEPTED_SHARE = 3 / 5r
      # A filler goes over the outside edge and is tucked at both ends (from memory: measure one).
      FILLER_OF_GIRTH = 0.75
      TUCK = 1

      def check
        super
        check_test_piece
        refuse("material", "Not one coil of #{material.name}, #{text(diameter)} thick, fits round the inside edge, #{text(form.crowded_run)}.") if turns < 1
        refuse_crowd(turns, "material", "coils")
      end

      def diameter = material.diameter.to_f

      # What a coil takes of the edge it is pressed against.
      def lying = measured_advance || diameter * squash

      # Coils that touch on the crowded edge.
      def turns = @turns ||= (form.crowded_run / lying + 1e-9).floor

      def pitch = form.run / turns

      # The rope's own middle runs half its thickness outside the form, so once round is pi d more.
      # Source: Steiner's formula for parallel curves.
      def length_per_turn = measured_turn || Math.sqrt((form.girth + Math::PI * diameter)**2 + pitch**2)

      def coils = turns * length_per_turn

      def accepted_gap = super || ACCEPTED_SHARE * material.diameter

      def gap_at(edge) = edge / turns - lying

      # How many fillers bring the average gap at the wide edge under what is accepted.
      def fillers
        @fillers ||= (school == :tight_inside) ? closing_fillers : 0
      end

      def coils_between_fillers = fillers.zero? ? nil : turns.fdiv(fillers).floor

      def filler_length = @filler_length ||= up_to_mark(super || FILLER_OF_GIRTH * form.girth + 2 * TUCK)

      def needs
        run = Need.run(material: material.id, what: "coils", length: coils + ENDS, join: JOIN, least: length_per_turn, spread: self.class.spread)
        return [run] if fillers.zero?
        [run, Need.pieces(material: material.id, what: "fillers", length: filler_length, count: fillers, spread: self.class.spread)]
      end

      def figures
        {turns:, pitch:, length_per_turn:, gap_wide: gap_at(form.wide_run), gap_middle: gap_at(form.run), gap_crowded: [gap_at(form.crowded_run), 0.0].max,
         gap_left: gap_left, fillers:, coils_between_fillers:, piece_length: (filler_length if fillers.positive?), length: coils}.compact
      end

      def working
        [
          line("Along the inside edge", "", text(form.crowded_run)),
          line("Coils that fit it", "#{bare(form.crowded_run)} ÷ #{bare(lying)}, rounded down", turns.to_s),
          line("Once round the band, and the cord’s own thickness", "#{bare(form.girth)} + π × #{bare(diameter)}", text(form.girth + Math::PI * diameter)),
          line("One coil, moving on #{text(pitch)}", measured_turn ? "by your test piece" : "√(#{bare(form.girth + Math::PI * diameter)}² + #{bare(pitch)}²)", text(length_per_turn)),
          line("Cord in the coils", "#{turns} × #{bare(length_per_turn)}", long_text(coils)),
          line("Both ends tucked", "2 × #{bare(1)}", text(ENDS)),
          line("Gap at the outside edge", "#{bare(form.wide_run)} ÷ #{turns} − #{bare(lying)}", text(gap_at(form.wide_run))),
          *filler_working
        ]
      end

      def findings
        [*(test_piece_finding if test_piece), *form_shows, *crowded_fillers, *same_thickness, *bends_frame]
      end

      def steps
        winding = Bench::Step.new(id: "#{id}.coil", title: (school == :tight_inside) ? "Coil the cord, tight on the inside edge" : "Coil the cord, spread evenly",
          says: "Start at the back#{" on a crossbar" if form.base == :wire}, the frayed end hidden. Push the coils together, then a tack of glue behind every few coils.", count: turns, unit: "coils", minutes: turns / 2.0 + 3)
        return [winding] if fillers.zero?
        [winding, Bench::Step.new(id: "#{id}.fill", title: "Push in the fillers", says: "One every #{coils_between_fillers} coils, never two side by side. Over the outside edge, both ends tucked and glued behind.", count: fillers, unit: "fillers", minutes: fillers * 0.6)]
      end

      # About half a minute a coil, and a little more a filler (from memory).
      def minutes = 3 + turns * 0.5 + fillers * 0.6

      def glue = turns / 4 * 0.5 + fillers * 1.0 + 2.0

      def lies
        coils = Draw::Cords.coiled(form, id:, material:, count: turns, width: diameter, what: "coils")
        return [coils] if fillers.zero?
        [coils, Draw::Cords.filling(form, id:, material:, places: filler_places, of: turns, width: diameter)]
      end

      def gaps
        return [] unless gap_at(form.wide_run) > 0.05 * diameter
        free = (0...turns).to_a - filler_places
        Draw::Gap.outside(form, count: turns, after: free.min_by { (_1 - turns / 6.0).abs } || 0, width: gap_at(form.wide_run))
      end

      def thickness = diameter

      # The coils after which a filler goes, evenly spread.
      def filler_places = (0...fillers).map { |i| ((i + 0.5) * turns / fillers).floor }

      private

      def closing_fillers
        ((form.wide_run - turns * (lying + accepted_gap)) / lying - 1e-9).ceil.clamp(0, turns)
      end

      # What is left of the average gap once the fillers are in.
      def gap_left = (form.wide_run - (turns + fillers) * lying) / turns

      def filler_working
        return [] if fillers.zero?
        [
          line("Fillers", "(#{bare(form.wide_run)} − #{turns} × (#{bare(lying)} + #{bare(accepted_gap)})) ÷ #{bare(lying)}, rounded up", "#{fillers}, one every #{coils_between_fillers}"),
          line("Each filler", @layer.options[:filler_length] ? "as measured" : "¾ × #{bare(form.girth)} + 2 × #{bare(TUCK)}, up to the mark", text(filler_length))
        ]
      end

      def form_shows
        gap = gap_at(form.wide_run)
        return if fillers.positive? || gap <= diameter
        finding(:warn, "form_shows", "The form shows at the outside edge: gaps come to #{text(gap)}, wider than the cord is thick. Fillers close them; so would a thinner cord, or a form painted in the cord’s colour.",
          at: "outside", try: ({"school" => "tight_inside"} if school == :even))
      end

      def crowded_fillers
        return unless fillers.positive? && fillers * 2 > turns
        finding(:warn, "crowded_fillers", "#{fillers} fillers among #{turns} coils would lie side by side. A thinner cord, or a wider accepted gap, needs fewer.", at: "outside")
      end

      def same_thickness
        return unless material.on_hand.size + material.offers.size > 1
        finding(:note, "same_thickness", "Check that all packages say the same thickness: two cords of one name can differ.")
      end

      def bends_frame
        return unless form.base == :wire
        finding(:note, "bends_frame", "Pulling hard bends a light frame: lay the coils, do not haul them.")
      end
    end
  end
end
