# frozen_string_literal: true

module Lantern
  module Trim
    # What it hangs by: out of sight, fitted before the covering or after it, and never forgotten.
    class Hanger < Cover::Covering
      covering :hanger, title: "Hanger", takes: %i[rope ribbon tie fabric mesh wire], stage: :hang, summary: "What it hangs by, out of sight."
      counts :pieces, "hanger"

      spread 0.0

      option :kind, :choice, label: "Kind of hanger", choices: Hangers::KINDS.transform_values(&:title), default_says: "what suits the material"
      option :length, :length, most: 240, label: "Length", default_says: "what is usual for the kind"
      option :fitted, :choice, default: :first, label: "Fitted", choices: {first: "Before the covering", last: "At the end"}, help: "Before, it is hidden by the covering; at the end, it can be put where the wreath hangs straight."
      option :at, :number, fine: true, default: 12.0, most: 12.0, label: "At, by the clock"

      # A ribbon loop that is only glued carries no more than this (from memory), in grams.
      GLUED = 400

      def check
        super
        refuse("kind", "#{hanger.title} takes #{hanger.takes.join(" or ")}; #{material.name} is #{material.kind}.") unless hanger.takes.include?(material.kind)
      end

      def kind = super || Hangers::KINDS.find { |_, each| each.takes.include?(material.kind) }.first

      def hanger = Hangers::KINDS.fetch(kind)

      def length = super || hanger.length

      def cut = up_to_mark(length)

      def needs
        return [Cover::Need.items(material: material.id, what: "hangers", count: 1)] if material.counted?
        [Cover::Need.pieces(material: material.id, what: "hangers", length: cut, count: 1, width: (Rational(3, 2) if material.sheets?), spread: 0)]
      end

      def figures = {pieces: 1, length: material.counted? ? 0.0 : cut.to_f}

      def working = [line(hanger.title, @layer.options[:length] ? "as you said" : "as is usual", text(length))]

      def findings
        heavy = weight_on_it
        return [] unless kind == :ribbon_loop && heavy > GLUED
        [finding(:warn, "heavy_for_glue", "What is fixed on weighs #{heavy.round} g: a loop that is only glued may come off. A cord or a chenille stem round the form holds.", try: ({"kind" => "larks_head"} if Hangers::KINDS[:larks_head].takes.include?(material.kind)))]
      end

      def steps = [step("hang", "Fit the hanger", "#{hanger.says} At #{(at.zero? ? 12.0 : at).round(1).to_s.delete_suffix(".0")} o’clock, at the back.", minutes: 3, move: hanger.move, look: "Hold it up by the hanger: does it hang straight?")]

      def minutes = 3

      # Only a ribbon loop is glued.
      def glue = (kind == :ribbon_loop) ? 4.0 : 0.0

      def lies
        along = Form::Clock.along(form, at)
        foot, out = [0.0, form.half_face + [length.to_f / 4, form.face].min].map { form.path.beside(along, _1) }
        [Draw::Lie.new(layer: id, what: "hanger", kind: :loop, materials: [material], width: [length.to_f / 12, 0.3].max, reach: [length.to_f / 4, form.face].min, front: [], back: [{points: [foot, out]}])]
      end

      # In grams, of everything the plan fixes on.
      def weight_on_it
        @plan.layers.select { _1.covering == Attach }.sum { |layer| (layer.options[:weight] || 0) * (layer.options[:count] || 1) }
      end
    end
  end
end
