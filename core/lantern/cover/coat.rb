# frozen_string_literal: true

module Lantern
  module Cover
    # Paint, moss, pasted paper: so much area to a pack.
    class Coat < Covering
      covering :coat, title: "Coat", takes: %i[coat],
        summary: "Paint, moss or pasted paper, by the area a pack covers."
      counts :packages, :packs
      hands :brush
      laid :wash

      spread 0.10 # from memory

      option :coverage, :area, label: "A pack covers", default_says: "4 square feet, a guess",
        help: "In square inches or square centimetres; it stands on the pack."
      option :coats, :count, default: 1, most: 12, label: "Coats"

      runs_along

      figure :area, :area, "To cover"
      figure :packages, :count, "Packs"
      figure :length, :length, "Length"

      vary :coats, takes: :more, says: "The most coats", unit: "coats"

      # From memory: read what the pack says.
      COVERAGE = 576.0

      def coverage = super || COVERAGE

      def area = form.area * coats

      def packages = (area / coverage - 1e-9).ceil

      def needs = [Place::Need.items(material: material.id, what: :packs, count: packages)]

      def length = 0.0

      def working
        [line(:area, "To cover", "#{coats} × girth × run", square_text(area)),
          line(:packages, "Packs", "#{square_text(area)} ÷ #{square_text(coverage)}, rounded up", packages.to_s)]
      end

      def findings
        [*(finding(:note, "guess", "How far a pack goes is a guess: read what stands on yours.") unless said?(
          :coverage
        )),
          *(if coats == 1 && pale? && @plan.layers.first.id == id
              finding(:note, "white_first", "A pale coat over a dark form needs two coats, the first one white.",
                try: {"coats" => 2})
            end)]
      end

      # From this brightness on a colour is pale, of 255 (from memory).
      PALE = 200

      # Whether the coat is said to be pale.
      def pale?
        return false unless material.colour
        material.colour.delete("#").scan(/../).sum { _1.to_i(16) } / 3 > PALE
      end

      # Twenty square inches a minute, and two minutes to begin (from memory).
      def steps = (1..coats).map { |coat|
        step("coat#{coat}", "Coat #{coat}",
          "Thin and even; let it dry before the next. Window open, and as the label says.",
          lays: (:coats if coat == coats), minutes: form.area / 20 + ((coat == 1) ? 2 : 0))
      }

      def closes = form.areas

      def lies = [Place::Along.coated(form, id:, material:)]
    end
  end
end
