# frozen_string_literal: true

module Lantern
  module Trim
    # A bow, at its place by the clock: what ribbon it takes, what that ribbon must be like, and whether it
    # suits the wreath.
    class Bow < Cover::Covering
      covering :bow, title: "Bow", takes: %i[ribbon fabric mesh rope], several: true, stage: :trim,
        summary: "Loops and tails of one ribbon, or of several on one another."
      counts :loops, "loops in the bow"

      spread 0.05 # from memory

      option :kind, :choice, default: :pinch_and_twist, label: "Kind of bow", choices: -> { Bows.kinds.transform_values(&:title) }
      option :loops, :count, most: 60, label: "Loops, both sides together", default_says: "what is usual for the kind"
      option :loop_size, :length, most: 48, label: "Loop, laid flat", default_says: "what is usual for the kind", help: "A 4 in loop takes 8 in of ribbon."
      option :tail, :length, zero: true, most: 120, label: "Tail", default_says: "what is usual for the kind"
      option :strips, :count, most: 60, label: "Strips", default_says: "four", help: "Of stacked strips only."
      option :strip_length, :length, most: 120, label: "Each strip", default_says: "18 in", help: "Of stacked strips only."
      option :centre_loop, :length, most: 24, label: "Loop in the centre", default_says: "none"
      option :twist, :length, zero: true, fine: true, default: 0r, most: 6, label: "A pinch takes", help: "Nought when you measure from pinch to pinch; half an inch is a guess otherwise."
      option :ribbons, :stack, fine: true, kinds: %i[ribbon fabric mesh rope], label: "Ribbons on one another", default_says: "one of each material"
      option :at, :number, default: 6.0, most: 12.0, label: "At, by the clock", help: "Twelve is the top; drag it on the drawing."
      option :tie, :reference, kinds: %i[tie wire], fine: true, label: "Tied with"

      vary :loop_size, takes: :more, says: "The largest loops", most: :largest_loop
      vary :tail, takes: :more, says: "The longest tails"

      # A bow of a third to a half of the wreath's width looks right (from memory).
      SMALLEST, LARGEST = 1 / 3r, 1 / 2r
      # Ribbon without wire holds only small loops (from memory).
      HOLDS = 3
      # A wire to tie it with (from memory).
      WIRE = 6r

      def check
        super
        refuse_crowd(needs.reject { _1.shape == :items }.sum(&:count), "strips", "pieces")
      end

      def bow = @bow ||= Bows.kinds.fetch(kind).new(self)

      def loops = super || usual(:loops)

      def loop_size = super || usual(:loop_size)

      def tail = super || usual(:tail)

      def strips = super || usual(:strips)

      def strip_length = super || usual(:strip_length)

      def width = material.width || material.diameter || 2r

      def largest_loop = form.silhouette.width.to_r.round(3)

      def others = [*stack, *(@plan.material(tie) if tie)]

      # Each ribbon, as often as it lies in the bow.
      # @return [Array<Plan::Material>]
      def stack
        return materials if ribbons.nil?
        ribbons.is_a?(Integer) ? materials * ribbons : ribbons.map { |id| other(id, self.class.takes, "ribbons") }
      end

      def needs
        cut = stack.tally.flat_map do |ribbon, times|
          bow.parts.map { |part| Cover::Need.pieces(material: ribbon.id, what: stack.uniq.one? ? part.what : "#{part.what}, #{ribbon.name}", length: up_to_mark(part.length), count: part.count * times, width: (width if ribbon.sheets?), spread: self.class.spread) }
        end
        cut + tying
      end

      def figures
        {pieces: needs.reject { _1.shape == :items }.sum(&:count), loops: bow.loops.size, piece_length: needs.first.length, bow_width: bow.width, ribbons: stack.size, length: needs.reject { _1.shape == :items }.sum(&:total).to_f}
      end

      def working
        cut = needs.reject { _1.shape == :items }
        [
          *bow.working.map { |says, sum, inches| line(says, sum, text(inches)) },
          *(line("Ribbons on one another", "", stack.size.to_s) if stack.size > 1),
          line("In all, each piece up to the mark", cut.map { "#{_1.count} × #{bare(_1.length)}" }.join(" + "), text(cut.sum(&:total)))
        ]
      end

      def findings = [*proportion, *holds, *good_side]

      def steps
        [
          step("make", "Make the bow", "#{bow.says} Dovetail the ends: fold each in half lengthwise and cut away from the fold.", minutes: 4.0 + loops * 0.5, move: bow.move, look: "Are both sides alike, and is the good side out everywhere?"),
          step("fix", "Fix the bow at #{clock}", "Tie it on with a chenille stem or wire through the back; glue alone does not hold a bow in the wind. Open the loops.", minutes: 2, move: "tie_on", look: "Does it sit at #{clock}, its tails hanging free?")
        ]
      end

      def minutes = steps.sum(&:minutes)

      def glue = 2.0

      def stems = tie ? 0.0 : 0.5

      def lies = Draw::Bows.tied(form, id:, materials: stack.uniq, at: at, bow:, width: [width.to_f, 0.2].max)

      # The hour as it is said.
      def clock = "#{(at.zero? ? 12.0 : at).round(1).to_s.delete_suffix(".0")} o’clock"

      # A length in the maker's own numbers, without its unit.
      def said(inches) = bare(inches)

      private

      def usual(option) = Rational(Bows.kinds.fetch(kind).usual.fetch(option) { {strips: 4, strip_length: 18}.fetch(option) }).then { (option == :loops || option == :strips) ? _1.to_i : _1 }

      def tying
        return [] unless tie
        tied = other(tie, %i[tie wire], "tie")
        [tied.counted? ? Cover::Need.items(material: tied.id, what: "ties for the bow", count: 1) : Cover::Need.pieces(material: tied.id, what: "wire for the bow", length: WIRE, count: 1)]
      end

      def proportion
        share = bow.width / form.silhouette.width
        return if share.between?(SMALLEST.to_f - 0.02, LARGEST.to_f + 0.02)
        wanted = loop_size * Rational(((share < SMALLEST) ? SMALLEST : LARGEST) * form.silhouette.width.to_r / bow.width.to_r)
        mended = {"loop_size" => text(up_to_mark(wanted))} unless %i[stacked_strips awareness].include?(kind)
        finding(:note, "proportion", "The bow is #{text(bow.width)} wide, #{in_hundred(share)} of the wreath; a third to a half looks right.", at: "layers", try: mended)
      end

      def holds
        soft = stack.reject(&:wired)
        return if soft.empty? || !(Bows.kinds.fetch(kind).wired || loop_size > HOLDS) || material.kind == :rope
        finding(:warn, "wants_wire", "#{soft.first.name} has no wire in its edges: loops of #{text(loop_size)} fall in. Wired ribbon holds them; without it keep to #{text(HOLDS)} or less.", try: ({"loop_size" => text(HOLDS)} if loop_size > HOLDS))
      end

      def good_side
        return unless Bows.kinds.fetch(kind).two_sided
        finding(:note, "both_sides", "The back of the ribbon shows in this bow: one that is good on both sides is best; else turn the good side up on the tails and out on the loops.")
      end
    end
  end
end
