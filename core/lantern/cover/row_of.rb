# frozen_string_literal: true

module Lantern
  module Cover
    # Made-up pieces in a row round the form: bows, bundles, curls. Each is a recipe of cut pieces.
    class RowOf < Covering
      covering :row_of, title: "A row of made-up pieces", takes: %i[ribbon mesh rope fabric wire],
        summary: "Bows, bundles or curls round the form, each made from the same recipe."
      counts :repeats, :pieces_to_make
      hands :tack, :bundle
      laid :loop

      spread 0.05 # from memory

      option :count, :count, most: 500, label: "How many", default_says: "twelve, or as many as the spacing fits"

      include Spread

      option :sides, :choice, fine: true, default: :face, label: "Where they sit",
        choices: {face: "On the face", alternate: "In and out by turns"}
      option :recipe, :list, most: 12, label: "What one of them is made of", default_says: "one piece of 18 in",
        of: Plan::Field::Record.new(:part, label: "A part", fields: [
          Plan::Field::Reference.new(:material, kinds: %i[ribbon mesh rope fabric wire tie piece], label: "Material"),
          Plan::Field::Length.new(:length, label: "Length"),
          Plan::Field::Length.new(:width, most: 120, label: "Width"),
          Plan::Field::Count.new(:count, default: 1, most: 60, label: "How many")
        ])

      runs_along

      figure :pieces, :count, "Parts in all"
      figure :repeats, :count, "Pieces to make", from: :count
      figure :pitch, :length, "From one to the next"
      figure :length, :length, "All parts, end to end"

      vary :count, takes: :more, says: "The most pieces", unit: "pieces"

      # Twelve bows of 18 in to a wreath (common practice).
      USUAL = 12
      USUAL_LENGTH = Rational(18)

      def check
        super
        check_spread(said?(:count))
        refuse_crowd(count, "count", "pieces")
        recipe.each_with_index do |part, i|
          other(part[:material], %i[ribbon mesh rope fabric wire tie piece], "recipe.#{i}.material") if part[:material]
          unless part[:length] || material_of(part).counted?
            refuse("recipe.#{i}.length", "A part that is cut needs a length.")
          end
        end
      end

      def count = super || fitting || USUAL

      def others = recipe.filter_map { _1[:material] && @plan.material(_1[:material]) }

      # The parts of one: as said, or one piece of the main material.
      def parts = recipe.empty? ? [{material: material.id, length: USUAL_LENGTH, width: nil, count: 1}] : recipe

      def material_of(part) = part[:material] ? @plan.material(part[:material]) : material

      def needs
        parts.map do |part|
          from = material_of(part)
          if from.counted?
            next Place::Need.items(material: from.id, what: :pieces, of: ", #{from.name}", count: part[:count] * count)
          end
          pieces_of(:pieces, of: (", #{from.name}" unless parts.one?), material: from.id,
            length: up_to_mark(part[:length]), count: part[:count] * count,
            width: (part[:width] || from.width || Rational(2) if from.sheets?))
        end
      end

      def pieces = needs.sum(&:count)

      def pitch = form.run / count

      def length = needs.select(&:cut?).sum(&:total)

      def working
        [
          line(:count, "How many", how_many, count.to_s),
          line(:pitch, "From one to the next", pencil("%l ÷ %n", form.run, count), text(pitch)),
          *needs.each_with_index.map { |need, i|
            line(:"part_#{i + 1}", Measure::Words.sentence(need.what),
              "#{count} × #{need.count / count}#{"; each #{figure(need.length)}" unless need.items?}", need.count.to_s)
          }
        ]
      end

      def findings
        size = parts.filter_map { _1[:length] }.max&./(3)
        return [crowding(size)] if size && pitch < size * CROWDED
        return [] unless size && size < pitch * 0.6 && !on_a_covering?
        [finding(:note, "far_apart", "At #{text(pitch)} apart the form shows between them: " \
          "#{(form.run / size).floor} would touch.", try: {"count" => (form.run / size).floor.clamp(1, 500)})]
      end

      def steps
        [step("make", "Make all #{count} first", "#{recipe_says} One, to try on the form; then the rest like it.",
          count:, unit: :pieces, look: "Are they alike?",
          move: :bundle, minutes: 2 + count * 2.0, on_table: true),
          step("fix", "Fix them round the form", "Evenly, #{text(pitch)} from one to the next. Quarter the form " \
            "first, then fill each quarter; a drop of glue behind each.", count:, unit: :pieces,
            lays: :loops_1, minutes: count * 1.0)]
      end

      def recipe_says
        each = parts.map { |part|
          name = material_of(part).name
          next "#{part[:count]} #{name}" if material_of(part).counted?
          "#{"#{part[:count]} × " if part[:count] > 1}#{text(part[:length])} of #{name}"
        }
        "Each of #{Measure::Words.list(each)}."
      end

      def fixings = {glue: count * 1.0}

      def lies
        parts.each_with_index.reject { |part, _| material_of(part).counted? }.flat_map do |part, i|
          Place::Loops.row(form, id:, material: material_of(part), count:, each: part[:count],
            length: part[:length].to_f,
            width: (part[:width] || material_of(part).width || material_of(part).diameter || 1).to_f, place: i,
            alternate: sides == :alternate)
        end
      end

      # Whether something covers the form beneath, so that no form shows between them.
      def on_a_covering?
        below = @plan.layers.first
        below.id != id && below.kind.stage.key == :cover && below.kind != self.class
      end

      # Bows and curls give: less than this share of their own size apart they no longer do (from memory).
      CROWDED = 0.3

      private

      def crowding(size)
        room = (form.run / (size * CROWDED)).floor.clamp(1, nil)
        finding(:warn, "overlap", "#{Place::Unit.fetch(:pieces).says(count)} about #{text(size)} across stand " \
          "#{text(pitch)} apart and overlap by #{text(size - pitch)}: no more than #{room} find room, " \
          "smaller ones more.",
          try: {"count" => room})
      end

      def how_many = fitting_says || (said?(:count) ? "as you said" : "as is usual")
    end
  end
end
