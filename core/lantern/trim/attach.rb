# frozen_string_literal: true

module Lantern
  module Trim
    # Something made or bought, fixed on at its place: picks, blooms, a sign, lights. What it weighs says
    # whether glue alone will do.
    class Attach < Cover::Covering
      covering :attach, title: "Something fixed on", takes: %i[piece ribbon wire], stage: :trim, summary: "Picks, blooms, a sign, lights: at their place, fixed so that they hold."
      counts :pieces, "to fix on"

      spread 0.0

      option :what, :choice, open: true, default: :pick, label: "What", choices: {pick: "Pick", bloom: "Bloom", swag: "Swag of crossed picks", sign: "Sign", lights: "Lights on a battery", other: "Something else"}
      option :count, :count, most: 200, label: "How many", default_says: "one, or two for a swag"
      option :weight, :weight, label: "Each weighs", help: "250 g or 8 oz; a kitchen scale says."
      option :fixing, :choice, default: :glue, label: "Fixed with", choices: {glue: "Glue", chenille: "Chenille stems", wire: "Wire", ties: "Cable ties"}
      option :at, :number, default: 6.0, most: 12.0, label: "At, by the clock", help: "Twelve is the top; drag it on the drawing."
      option :size, :length, most: 120, label: "Across", default_says: "a third of the face, or of the wreath for a sign"

      # What each holds, in grams: hot glue on a covering, two chenille stems, a wire round the form and cable
      # ties (all from memory: pull at it before it hangs).
      HOLDS = {glue: 60, chenille: 400, ties: 800, wire: 2000}.freeze

      def check
        refuse("material", "#{material.name} is #{material.kind}; this takes #{self.class.takes.join(" or ")}.") if material && !self.class.takes.include?(material.kind)
        refuse_crowd(count, "count", "things")
      end

      def count = super || ((what == :swag) ? 2 : 1)

      def size = super || {sign: form.silhouette.width / 3, swag: form.face * 2}.fetch(what, form.face / 3).to_r.round(3)

      def needs
        return [] unless material
        return [Cover::Need.items(material: material.id, what: word, count:)] if material.counted?
        [Cover::Need.pieces(material: material.id, what: word, length: up_to_mark(size), count:, spread: 0)]
      end

      def figures = {pieces: count, length: 0.0}

      def working
        [
          line("How many", @layer.options[:count] ? "as you said" : "as is usual", count.to_s),
          *(line("They weigh", "#{count} × #{weight.round} g", "#{(count * weight).round} g") if weight),
          line("Glue alone holds", "about, from memory", "#{HOLDS[:glue]} g each")
        ]
      end

      def findings = [*too_heavy, *hides, *batteries]

      def steps
        [step("fix", (count == 1) ? "Fix the #{word} on at #{clock}" : "Fix #{count} #{word} on, from #{clock}", [how, ("Cross their stems and bind them where they cross." if what == :swag), ("The battery box behind, where a hand reaches it." if what == :lights)].compact.join(" "),
          count: (count if count > 1), unit: (word if count > 1), minutes: count * 1.5, move: (fixing == :glue) ? "tack" : "tie_on", look: "Pull at it: does it hold?")]
      end

      def minutes = count * 1.5

      def glue = (fixing == :glue) ? count * 1.0 : count * 0.5

      def stems = (fixing == :chenille) ? count * 2.0 : 0.0

      def ties_used = (fixing == :ties) ? count * 2 : 0

      def lies
        kind = {sign: :panel, pick: :line, swag: :line}.fetch(what, :disc)
        [Draw::Lie.new(layer: id, what: word, kind:, materials: [material].compact, width: (kind == :line) ? size.to_f / 6 : [size.to_f, 0.2].max, reach: size.to_f / 2, front: places.each_with_index.map { |place, i| {points: shape(place, i)} })]
      end

      private

      # What it is in words; a maker's own word stays as it is.
      def word = {pick: "picks", bloom: "blooms", swag: "picks", sign: "signs", lights: "lights", other: "pieces"}.fetch(what) { return what }.then { |word| (count == 1) ? word.delete_suffix("s") : word }

      def clock = "#{(at.zero? ? 12.0 : at).round(1).to_s.delete_suffix(".0")} o’clock"

      def how = {glue: "Glue it on, and hold it until it has set.", chenille: "Two chenille stems through it and round the form, twisted behind.", wire: "Wire through it and round the form, twisted behind, the ends turned in.", ties: "Two cable ties through it and round the form, cut short behind."}.fetch(fixing)

      # Side by side from the hour on.
      def places
        start = Form::Clock.along(form, at)
        (0...count).map { |i| (what == :swag) ? start : start + i * size.to_f * 1.05 }
      end

      def shape(along, i)
        x, y = form.path.beside(along, 0.0)
        half = size.to_f / 2
        case what
        when :sign then [[-half, -half * 0.4], [half, -half * 0.4], [half, half * 0.4], [-half, half * 0.4]].map { |dx, dy| [x + dx, y + dy] }
        when :swag then [-1, 1].map { |end_| [x + end_ * half * (i.even? ? 1 : -1), y + end_ * half * 0.5] }
        when :pick then [[x, y + half * 0.6], [x + half * 0.3, y - half * 0.6]]
        else [[x, y]]
        end
      end

      def too_heavy
        return unless weight && weight > HOLDS[fixing]
        better = HOLDS.select { |_, grams| grams >= weight }.min_by(&:last)&.first
        finding(:warn, "too_heavy", "#{weight.round} g is more than #{{glue: "glue alone holds", chenille: "two chenille stems hold", ties: "two cable ties hold", wire: "a wire holds"}.fetch(fixing)}, about #{HOLDS[fixing]} g.", try: ({"fixing" => better.to_s} if better))
      end

      def hides
        return unless what == :sign && size > form.silhouette.width / 2
        finding(:note, "hides", "The sign is #{text(size)} across: what lies behind it nobody sees. It need not be covered there.")
      end

      def batteries
        finding(:note, "batteries", "Keep the battery box where a hand reaches it, and lamps that grow warm away from fibre.") if what == :lights
      end
    end
  end
end
