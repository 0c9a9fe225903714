# frozen_string_literal: true

module Lantern
  module Hang
    # What it hangs by: out of sight, fitted before the covering or after it, and never forgotten.
    class Hanger < Hanging
      hanging :hanger, title: "Hanger", takes: %i[rope ribbon tie fabric mesh wire],
        summary: "What it hangs by, out of sight."
      counts :pieces, :hangers
      hands(*Hangers::KINDS.values.map(&:move).uniq)
      shows hang: :length
      laid :loop

      spread 0.0
      sees_everything

      option :kind, :choice, label: "Kind of hanger", choices: Hangers::KINDS.transform_values(&:title),
        also: {loop_behind: :ribbon_loop, joined_ends: :rope_ends}, default_says: "what suits the material"
      option :of, :layer, where: {kind: [:rope_ends]}, label: "Ends of", default_says: "a piece of its own",
        help: "The covering whose last row is left long, and joined."
      option :length, :length, most: 240, label: "Length", default_says: "what is usual for the kind"
      option :fitted, :choice, default: :first, label: "Fitted",
        choices: {first: "Before the covering", last: "At the end"},
        help: "Before, it is hidden by the covering; at the end, it can be put where the wreath hangs straight."
      # What hangs askew hangs from where nobody would look for it.
      ASKEW = 10.0

      option :at, :number, fine: true, most: 12.0, label: "At, by the clock",
        default_says: "at the top; at one side for what hangs askew"

      figure :pieces, :count, "Hangers"
      figure :length, :length, "Length", from: :length_cut

      gives :length, share: 0.85, says: "a hanger of %s"

      # Cut from cloth, it is so wide (from memory).
      STRIP = Rational(3, 2)

      def check
        return check_frame if kind == :frame
        check_last_row if of
        super
        if kind == :in_holes && form.closed?
          refuse("kind", "Only a form with two ends has holes for a cord in them; this one goes round.")
        end
        return if hanger.takes.include?(material.kind)
        takes = Measure::Words.list(hanger.takes, last: "or")
        refuse("kind", "#{hanger.title} takes #{takes}; #{material.name} is #{material.kind}.")
      end

      # Its own, or that of the covering whose last row it is.
      def materials = (of && super.empty?) ? [last_row&.material].compact.filter_map { @plan.material(_1) } : super

      # The covering whose ends it is.
      # @return [Plan::LayerSaid, nil]
      def last_row = of && @plan.layers.find { _1.id == of }

      # What the covering's own last row makes is made with it, and what is glued flat is glued on the covering.
      def fitted = (of || on_covering?) ? :last : super

      def turn = (fitted == :last) ? :hanging : :beneath

      def needs_first = of ? {of => "it is joined by its last row"} : {}

      def on_covering? = %i[ribbon_loop rope_ends].include?(kind)

      def hangs? = true

      def kind = super || Hangers::KINDS.find { |_, each| material && each.takes.include?(material.kind) }&.first ||
        Hangers::KINDS.keys.first

      def at = super || ((kind == :one_side) ? ASKEW : 12.0)

      def hanger = Hangers::KINDS.fetch(kind)

      def length = super || hanger.length

      def cut = up_to_mark(length)

      def pieces = 1

      def length_cut = (material.nil? || material.counted? || own?) ? 0.0 : cut.to_f

      def own? = kind == :frame

      def needs
        return [] if own?
        return [Place::Need.items(material: material.id, what: :hangers, count: 1)] if material.counted?
        [pieces_of(:hangers, material: material.id, length: cut, count: 1, width: (STRIP if material.sheets?),
          own_cut: !of.nil?)]
      end

      def working = [line(:length, hanger.title, said?(:length) ? "as you said" : "as is usual", text(length))]

      def findings = [*on_bare_wire, *too_heavy]

      # A loop glued to bare wire holds nothing.
      def on_bare_wire
        return [] unless kind == :ribbon_loop && form.base == :wire
        return [] if @plan.layers.any? { _1.kind.stage.key == :cover }
        [finding(:warn, "on_bare_wire", "There is nothing to glue it on: on bare wire a glued loop comes off. A cord " \
          "round the frame holds.", try: ({"kind" => "larks_head"} if Hangers::KINDS[:larks_head].takes.include?(
            material.kind
          )))]
      end

      def too_heavy
        heavy = weight_on_it
        return [] unless heavy > hanger.holds
        cord = {"kind" => "larks_head"} if kind != :larks_head && material &&
          Hangers::KINDS[:larks_head].takes.include?(material.kind)
        glued = %i[ribbon_loop in_holes].include?(kind)
        [finding(:warn, glued ? "heavy_for_glue" : "heavy", "What is fixed on weighs #{heavy.round} g: " \
          "#{glued ? "what is only glued may come off" : "that is more than such a hanger holds"}. A cord round the " \
          "form holds more.", try: cord)]
      end

      def steps
        # A frame's own wire is there already: nothing is left to do.
        return [] if own?
        return [last_row_step] if of
        [step("hang", "Fit the hanger", "#{hanger.says} At #{Form::Clock.text(at)}, at the back.", minutes: 3,
          move: hanger.move, lays: :hangers, look: "Hold it up by the hanger: does it hang straight?")]
      end

      # Only a ribbon loop is glued, and a cord in holes.
      def fixings = {glue: %i[ribbon_loop in_holes].include?(kind) ? 4.0 : 0.0}

      def lies
        return [] if own?
        along = Form::Clock.along(form, at)
        reach = [length.to_f / 4, form.face].min
        points = [0.0, form.half_face + reach].map { form.path.beside(along, _1) }
        [Place::Lie::Loop.new(layer: id, unit: :hangers, materials: [material], width: [length.to_f / 12, 0.3].max,
          front: [], back: [{points:}])]
      end

      def last_row_step
        step("hang", "Join the ends of the #{last_row.kind.title.downcase} to a loop", "Leave #{text(cut / 2)} of " \
          "each end of its last row long, at the back at #{Form::Clock.text(at)}; lay them side by side into a loop " \
          "and bind them with a few turns of thread or wire.", minutes: 3, move: hanger.move, lays: :hangers,
          look: "Hold it up by the loop: does it hang straight?")
      end

      def check_last_row
        refuse("of", "There is no layer “#{of}” whose ends these could be.") unless last_row
        refuse("of", "Only rope has ends to join; say a covering of rope.") unless materials.first&.kind == :rope
        refuse("kind", "What is left of a covering’s last row is joined ends.") unless kind == :rope_ends
      end

      def check_frame
        refuse("kind", "Only a wire frame has a wire of its own to hang by.") unless form.base == :wire
      end

      # In grams, of everything the plan fixes on.
      def weight_on_it = @plan.layers.sum { _1.kind.weight_of(_1.options) }
    end
  end
end
