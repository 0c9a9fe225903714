# frozen_string_literal: true

module Lantern
  module Cover
    # Rope coils with a ribbon that runs along the face, over so many coils and under so many. On a
    # closed form the pattern closes evenly only when the coils are a multiple of both together.
    class RopeInlay < Covering
      include Coiled
      include LegByLeg
      include Tested

      covering :rope_inlay, title: "Rope with a ribbon laid in", takes: %i[rope],
        summary: "A ribbon runs over a few coils and under a few, all round."
      counts :turns, :coils
      hands :inlay
      shows over: :over, under: :under
      laid :cord, :line

      spread 0.05 # from memory

      closes_up
      option :ribbon, :reference, kinds: %i[ribbon], label: "Ribbon laid in"
      # Over four, under two is common practice.
      option :over, :count, default: 4, most: 12, label: "Over"
      option :under, :count, default: 2, most: 12, label: "Under"
      option :take_up, :number, fine: true, default: 0.08, least: 0.0, most: 1.0, label: "Take-up of the ribbon",
        help: "What going over and under costs, as a share. A guess: measure one repeat."

      runs_along

      coil_figures
      figure :fanned, :count, "Coils over corners"
      figure :repeats, :count, "Whole repeats"
      figure :ease_percent, :number, "Each coil eased apart", from: :ease
      figure :ribbon_length, :length, "Ribbon laid in"
      figure :length, :length, "Cord in the coils", from: :coils

      ENDS_OF_RIBBON = 2
      # No other pattern is looked for past six coils.
      MOST_OTHER = 6

      def others = [laid_in].compact

      def laid_in = @laid_in ||= ribbon && other(ribbon, %i[ribbon], "ribbon")

      def check
        super
        check_coils
        laid_in
        refuse("over", "Only #{closing} coils fit: too few for one repeat of #{repeat}.") if closing < repeat
      end

      def repeat = over + under

      # Coils that touch on every leg and close every corner.
      def closing = fitting_legs.sum + fan_turns.sum

      # The most coils that make whole repeats; an open form need not close.
      def turns = @turns ||= form.closed? ? closing - closing % repeat : closing

      # What no repeat needs is left out where coils lie closest.
      def leg_turns
        @leg_turns ||= fitting_legs.dup.tap do |counts|
          (closing - turns).times do
            most = counts.each_index.max_by { |i| counts[i].zero? ? -1 : counts[i] / legs[i].crowded }
            counts[most] -= 1 if counts[most].positive?
          end
        end
      end

      # Over a corner no gap is wider than the cord (common practice).
      def accepted_gap = diameter

      def fan = nil

      def repeats = turns / repeat

      # By how much each coil is eased apart, as a percentage of its thickness.
      def ease(coils = turns) = ((closing_run / (coils * lying)) - 1) * 100

      def ribbon_length = form.run * (1 + take_up) + ENDS_OF_RIBBON

      def needs
        return [coil_need] unless laid_in
        [coil_need, run(material: laid_in.id, what: "ribbon laid in", length: ribbon_length, least: pitch * repeat)]
      end

      def working
        [
          *coil_working,
          line(:repeats, "Whole repeats of #{over} over and #{under} under",
            "#{closing} coils fit; #{repeats} × #{repeat}", "#{turns} coils"),
          line(:ease, "Each coil eased apart", pencil("%l ÷ (%n × %l) − 1", closing_run, turns, lying),
            "#{Measure::Words.short(ease.round(1))} %"),
          line(:ribbon_length, "Ribbon", pencil("%l + %p + 2 × %l", form.run, take_up, 1),
            text(ribbon_length))
        ]
      end

      def findings = [*coil_findings, *form_shows, *no_ribbon, *wide_ribbon, *closes_better]

      # The ribbon is laid in while the cord is coiled.
      def steps
        says = "#{starting} Coil #{over}, fold the ribbon across them and tack it, coil #{under} over it, and so on. " \
          "#{Measure::Words.count(repeats, "repeat")} #{(repeats == 1) ? "closes" : "close"} the round."
        says = says.delete_suffix(" the round.").sub(/ closes?\z/, " in all.") unless form.closed?
        [step("coil", laid_in ? "Coil the cord, the ribbon laid in" : "Coil the cord", says, count: turns, unit: :coils,
          minutes: coil_minutes + repeats * 1.5, pattern: [["over", over], ["under", under]], rounds: "repeat")]
      end

      def fixings = {glue: coil_glue}

      def closes = form.areas

      def accepts = [gap_wide, diameter].max

      def mend(_corner) = ["push the coils together there", nil]

      def lies = laid_in ? [coil_lie, ribbon_lie] : [coil_lie]

      private

      # What coils that touch everywhere would lie on: the crowded edge, and their own thickness over corners.
      def closing_run = room + fan_turns.sum * lying

      def ribbon_lie
        Place::Along.inlaid(form, id:, material: laid_in, places: seats.middles, over:, under:,
          width: [laid_in.width.to_f, form.face * 0.6].min)
      end

      def form_shows
        return if gap_wide <= diameter
        finding(:warn, "form_shows", "The form shows at the outside edge: gaps come to #{text(gap_wide)}, wider than " \
          "the cord is thick. A thinner cord closes them, or a form painted in the cord’s colour.", at: "outside")
      end

      def no_ribbon
        return if laid_in
        finding(:warn, "no_ribbon", "No ribbon is chosen yet: this is only the rope, with room for " \
          "#{text(ribbon_length)} of ribbon.", at: "ribbon")
      end

      def wide_ribbon
        return unless laid_in && laid_in.width > form.face
        finding(:warn, "wide_ribbon", "#{laid_in.name} is #{text(laid_in.width)} wide, wider than the face it is " \
          "laid on, #{text(form.face)}: it hangs over both edges. A narrower one lies flat.", at: "ribbon")
      end

      # Another pattern that the coils which fit come closer to closing with.
      def closes_better
        return unless form.closed? && ease >= 1
        a, b = other_patterns.min_by do |over, under|
          [easing(over, under).round(6), (over - self.over).abs + (under - self.under).abs]
        end
        return if a.nil? || easing(a, b) > ease - 0.5
        finding(:note, "closes_better",
          "With #{over} over and #{under} under each coil has to stretch by #{ease.round(1)} % to close the round. " \
          "With #{a} over and #{b} under it is #{easing(a, b).round(1)} %.", try: {"over" => a, "under" => b})
      end

      def other_patterns
        (2..MOST_OTHER).to_a.product((1..MOST_OTHER).to_a)
          .select { |over, under| under <= over && closing >= over + under }
      end

      def easing(over, under) = ease(closing - closing % (over + under))
    end
  end
end
