# frozen_string_literal: true

module Lantern
  module Cover
    # Cord round a stem, a handle or a small cone; and tendrils of wired cord wound on a pen.
    class StemWrap < Covering
      covering :stem_wrap, title: "Stem and tendrils", takes: %i[rope],
        summary: "Cord wound round the stem, and curled tendrils."
      counts :turns, :coils
      hands :coil, :pen
      dresses :stem
      laid :cord

      spread 0.05 # from memory

      option :length, :length, most: 120, label: "Length of the stem", default_says: "the form’s own"
      option :diameter, :length, most: 24, label: "Thickness at the foot", default_says: "the form’s own"
      option :end_diameter, :length, most: 24, label: "Thickness at the end", default_says: "as at the foot"
      option :tendrils, :count, least: 0, default: 0, most: 60, label: "Tendrils"
      option :tendril_material, :reference, kinds: %i[rope wire], fine: true, label: "Cord of the tendrils"
      option :tendril_turns, :count, fine: true, default: 8, most: 60, label: "Turns of a tendril"
      option :pen, :length, fine: true, default: Rational(3, 8), most: 6, label: "Wound on a pen",
        help: "How thick the pen is."

      figure :turns, :count, "Coils"
      figure :length_per_turn, :length, "One coil"
      figure :length, :length, "Cord round the stem", from: :wound
      figure :pieces, :count, "Tendrils", from: :some_tendrils
      figure :piece_length, :length, "Each tendril", from: :each_tendril

      vary :tendrils, takes: :more, says: "The most tendrils", unit: "tendrils"

      ENDS = 1
      JOIN = 1

      def check
        super
        refuse("length", "This form has no stem of its own: say how long it is.") unless stem_length
        refuse("diameter", "This form has no stem of its own: say how thick it is.") unless foot
        if turns < 1
          refuse("length", "Not one coil of #{material.name}, #{text(cord)} thick, fits on #{text(stem_length)}.")
        end
        refuse_crowd(turns, "length", "coils")
      end

      def cord = material.diameter.to_f

      def stem_length = @said.options[:length]&.to_f || form.stem&.length

      def foot = diameter&.to_f || form.stem&.diameter&.to_f

      def tip = end_diameter&.to_f || (diameter ? foot : form.stem&.end_diameter&.to_f)

      def turns = (stem_length / cord + 1e-9).floor

      # The cord's middle goes round half its thickness outside; on a cone the middle coil is the mean.
      def length_per_turn = Math::PI * ((foot + tip) / 2 + cord)

      def wound = turns * length_per_turn + ENDS

      def tendril_length = up_to_mark(tendril_turns * Math::PI * (pen.to_f + curled.diameter.to_f))

      def some_tendrils = tendrils.positive? ? tendrils : nil

      def each_tendril = tendrils.positive? ? tendril_length : nil

      # What tendrils are made of: a cord of their own, or the stem's.
      def curled = tendril_material ? other(tendril_material, %i[rope wire], "tendril_material") : material

      def others = tendril_material ? [curled] : []

      def needs
        [run(material: material.id, what: "stem", length: wound, join: JOIN, least: length_per_turn),
          *(pieces_of(:tendrils, material: curled.id, length: tendril_length, count: tendrils) if tendrils.positive?)]
      end

      def working
        [
          line(:turns, "Coils", pencil("%l ÷ %l, rounded down", stem_length, cord), turns.to_s),
          line(:length_per_turn, "One coil, on average", pencil("π × ((%l + %l) ÷ 2 + %l)", foot, tip, cord),
            text(length_per_turn)),
          line(:length, "All coils, the ends tucked", pencil("%n × %l + %l", turns, length_per_turn, ENDS),
            text(wound)),
          *(tendril_working if tendrils.positive?)
        ]
      end

      def tendril_working
        [line(:tendril, "A tendril", pencil("%n turns × π × (%l + %l), up to the mark", tendril_turns, pen, cord),
          text(tendril_length)),
          line(:tendrils, "Tendrils", pencil("%n × %l", tendrils, tendril_length),
            long_text(tendril_length * tendrils))]
      end

      def steps
        [step("stem", "Wind the stem with #{material.name}", "From the foot to the end. Glue every few coils, or " \
          "the cord slides off a smooth stem. Push the end into the last coil.", count: turns, unit: :coils,
          minutes: 2 + turns * 0.4,
          look: "Do the coils touch, and does none slip?"),
          *(if tendrils.positive?
              step("tendrils", "Curl the tendrils",
                "#{curled.name}, #{text(tendril_length)} each, #{tendril_turns} turns round a pen " \
                "#{text(pen)} thick; slide off and pull out a little.", count: tendrils, unit: :tendrils, move: :pen,
                look: "Does each keep its curl?", careful: ((curled.kind == :wire) ? [:wire_ends] : []),
                minutes: tendrils * 1.0)
            end)]
      end

      def fixings = {glue: turns / 3 * 0.5 + 1.0}

      def lies
        return [] unless form.stem
        stem = form.stem.path
        items = (0...turns).map do |i|
          along = [(i + 0.5) * cord, stem.length].min
          half = (foot + (tip - foot) * along / stem_length) / 2 + cord / 2
          {points: [stem.beside(along, -half), stem.beside(along, half)]}
        end
        [Place::Lie::Cord.new(layer: id, unit: :coils, materials: [material], width: cord, front: items, back: items)]
      end
    end
  end
end
