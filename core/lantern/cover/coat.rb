# frozen_string_literal: true

module Lantern
  module Cover
    # Paint, moss, pasted paper: so much area to a pack.
    class Coat < Covering
      covering :coat, title: "Coat", takes: %i[coat],
        summary: "Paint, moss or pasted paper, by the area a pack covers."
      counts :packages, :packs
      hands :brush, :paste, :press_moss
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

      def check
        super
        return unless put_on_with
        refuse("material", "#{material.name} cannot be put on with itself.") if put_on_with == material
        return if %i[glue coat].include?(put_on_with.kind)
        refuse("material", "#{put_on_with.name} is #{put_on_with.kind}; a coat is put on with a paste or a glue.")
      end

      def coverage = super || COVERAGE

      def area = form.area * coats

      def packages = (area / coverage - 1e-9).ceil

      def others = [put_on_with].compact

      # The paste or glue that it is put on with.
      # @return [Plan::Material, nil]
      def put_on_with = material.put_on_with && @plan.material(material.put_on_with)

      # A bottle of paste or tacky glue goes so far, in square inches, brushed under and over (from memory).
      BOTTLE = 1_000.0

      def bottles = (area / BOTTLE - 1e-9).ceil

      def needs
        [Place::Need.items(material: material.id, what: :packs, count: packages),
          *(Place::Need.items(material: put_on_with.id, what: :packs, of: " to put it on with", count: bottles) if
            put_on_with)]
      end

      def length = 0.0

      def working
        [line(:area, "To cover", pencil("%n × %l × %l", coats, form.girth, form.run), square_text(area)),
          line(:packages, "Packs", pencil("%a ÷ %a sq #{@plan.units}, rounded up", area, coverage), packages.to_s),
          *(if put_on_with
              line(:bottles, "Of #{put_on_with.name}",
                pencil("%a ÷ %a, rounded up, from memory", area, BOTTLE), bottles.to_s)
            end)]
      end

      def findings
        [*(finding(:note, "guess", "How far a pack goes is a guess: read what stands on yours.") unless said?(
          :coverage
        )),
          *(if coats == 1 && painted? && pale? && !white? && @plan.layers.first.id == id
              finding(:note, "white_first", "A pale coat over a dark form needs two coats, the first one white.",
                try: {"coats" => 2})
            end)]
      end

      # From this brightness on a colour is pale, of 255 (from memory).
      PALE = 200
      WHITE = 235

      def painted? = sort == :paint

      # What its name says, where nobody says its sort: a moss green paint is paint.
      NAMED = {paint: /paint|spray|varnish|stain|dye/i, moss: /moss/i, paper: /paper|napkin|tissue/i}.freeze
      private_constant :NAMED

      def sort = material.sort || NAMED.find { |_, name| material.name.match?(name) }&.first || :paint

      # White is its own first coat.
      def white? = brightness.min > WHITE

      def pale?
        brightness.sum / 3 > PALE
      end

      # How the hands put it on, by its sort (common practice): title, what they do, the move, what to look at, square
      # inches a minute, and the minutes it dries, if the label says no other (from memory).
      HOW = {
        paint: ["Paint the form with %s",
          "Brush it on thin and even, the inside edge first. Window open, and as the label says.",
          :brush, "Does the form show through nowhere, and has no drop run?", 20, 60],
        paper: ["Paste %s on the form",
          "Pull the paper into single plies and tear it into strips a finger wide. Brush %s on the form, lay a strip " \
          "on it, brush over it; the next one laps by half. Dry your hands before each strip.",
          :paste, "Are all edges down, and is no wrinkle left?", 8, 480],
        moss: ["Press %s on the form",
          "Spread %s on a hand’s breadth of the form, press a tuft into it and hold; the next close beside it. Not " \
          "hot glue: it sets before the moss lies.", :press_moss,
          "Does no foam show between the tufts, and does nothing fall when you shake it?", 10, 120]
      }.freeze

      def steps
        title, does, move, look, pace, waits = HOW.fetch(sort)
        does = format(does, put_on_with&.name || ((sort == :moss) ? "tacky glue" : "paste"))
        (1..coats).map { |coat|
          round = (coats > 1) ? ", coat #{coat} of #{coats}" : ""
          step("coat#{coat}", "#{format(title, material.name)}#{round}", "#{does} #{dry(coat)}", move:, look:,
            lays: (:coats if coat == coats), minutes: form.area / pace + ((coat == 1) ? 2 : 0), waits:)
        }
      end

      def closes = form.areas

      def dry(coat) = (coat < coats) ? "Let it dry before the next coat." : "Let it dry before anything goes on it."

      # Red, green and blue of what is said of its colour, 0 to 255.
      def brightness = material.colour ? material.colour.delete("#").scan(/../).map { _1.to_i(16) } : [0, 0, 0]

      def lies = [Place::Along.coated(form, id:, material:)]
    end
  end
end
