# frozen_string_literal: true

module Lantern
  module Cover
    # Rope coils with a ribbon that runs along the face, over so many coils and under so many. On a
    # closed form the pattern closes evenly only when the coils are a multiple of both together.
    class RopeInlay < RopeCoil
      covering :rope_inlay, title: "Rope with a ribbon laid in", takes: %i[rope],
        summary: "A ribbon runs over a few coils and under a few, all round."

      spread 0.05 # from memory

      without :school, :accepted_gap, :filler_length
      option :ribbon, :reference, kinds: %i[ribbon], label: "Ribbon laid in"
      # Over four, under two is common practice.
      option :over, :count, default: 4, most: 12, label: "Over"
      option :under, :count, default: 2, most: 12, label: "Under"
      option :take_up, :number, fine: true, default: 0.08, least: 0.0, most: 1.0, label: "Take-up of the ribbon", help: "What going over and under costs, as a share. A guess: measure one repeat."

      ENDS_OF_RIBBON = 2
      # No other pattern is looked for past six coils.
      MOST_OTHER = 6

      def school = :even

      def filler_length = nil

      def others = [laid_in].compact

      def laid_in = @laid_in ||= ribbon && other(ribbon, %i[ribbon], "ribbon")

      def check
        super
        laid_in
        refuse("over", "Only #{fitting} coils fit: too few for one repeat of #{repeat}.") if fitting < repeat
      end

      def repeat = over + under

      # Coils that fit the crowded edge.
      def fitting = @fitting ||= (form.crowded_run / lying + 1e-9).floor

      # The most of them that make whole repeats; an open form need not close.
      def turns = @turns ||= form.closed? ? fitting - fitting % repeat : fitting

      def repeats = turns / repeat

      # By how much each coil is eased apart, as a percentage of its thickness.
      def ease(coils = turns) = (form.crowded_run / (coils * lying) - 1) * 100

      def ribbon_length = form.run * (1 + take_up) + ENDS_OF_RIBBON

      def needs
        return super unless laid_in
        super + [Need.run(material: laid_in.id, what: "ribbon laid in", length: ribbon_length, least: pitch * repeat, spread: self.class.spread)]
      end

      def figures = super.except(:gap_left).merge(repeats:, ease_percent: ease, ribbon_length:)

      def working
        [*super.reject { _1.says.start_with?("Filler", "Each filler") },
          line("Whole repeats of #{over} over and #{under} under", "#{fitting} coils fit; #{repeats} × #{repeat}", "#{turns} coils"),
          line("Each coil eased apart", "#{bare(form.crowded_run)} ÷ (#{turns} × #{bare(lying)}) − 1", "#{ease.round(1)} in 100"),
          line("Ribbon", "#{bare(form.run)} + #{in_hundred(take_up)} + 2 × #{bare(1)}", text(ribbon_length))]
      end

      def findings
        [*super, *no_ribbon, *closes_better]
      end

      def steps
        [*super, step("inlay", "Lay the ribbon in", "Over #{over} coils, under #{under}, folding and tacking the ribbon at each change. #{repeats} repeats#{" close the round" if form.closed?}.", count: turns, unit: "coils", minutes: repeats * 1.5, move: "inlay", pattern: [["over", over], ["under", under]], rounds: "repeat")]
      end

      def minutes = super + repeats * 1.5

      def lies = [*super, *(Draw::Along.inlaid(form, id:, material: laid_in, coils: turns, over:, under:, width: [laid_in.width.to_f, form.face * 0.6].min) if laid_in)]

      private

      def no_ribbon
        finding(:warn, "no_ribbon", "No ribbon is chosen yet: this is only the rope, with room for #{text(ribbon_length)} of ribbon.", at: "ribbon") unless laid_in
      end

      def closes_better
        return unless form.closed? && ease >= 1
        a, b = (2..MOST_OTHER).to_a.product((1..MOST_OTHER).to_a).select { |over, under| under <= over && fitting >= over + under }
          .min_by { |over, under| [ease(fitting - fitting % (over + under)).round(6), (over - self.over).abs + (under - self.under).abs] }
        return if a.nil? || ease(fitting - fitting % (a + b)) > ease - 0.5
        finding(:note, "closes_better", "#{over} over and #{under} under leaves each coil eased by #{ease.round(1)} in 100. #{a} over and #{b} under closes with #{ease(fitting - fitting % (a + b)).round(1)}.",
          try: {"over" => a, "under" => b})
      end
    end
  end
end
