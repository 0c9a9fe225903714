# frozen_string_literal: true

module Lantern
  module Plan
    # A plan, read and checked. What it holds can be trusted: lengths are inches, money is exact,
    # every id exists.
    #
    #   Plan::Document.read(JSON.parse(text))
    #
    # The smallest mark is what cut lengths are rounded up to: 1/8 in or 5 mm unless the plan says otherwise; a
    # left-over shorter than the smallest remnant counts as a scrap. `lengths` are all those that were written in
    # the document, by their place; `form` is what {Document.form_is_read_by} made of the form.
    Document = Value.define(:name, :units, :quantity, :sureness, :smallest_mark, :smallest_remnant, :form, :materials,
      :layers, :steps, :lengths, :money, :currency, :learned, :paces, :budget, :today) do
      # @return [String] a sum in its currency
      def money_says(amount) = Measure::Money.says(amount, currency)

      # @return [String] as a program reads it
      def money_text(amount) = Measure::Money.text(amount, currency)

      # @return [Material, nil]
      def material(id) = materials.find { _1.id == id }

      # As much of it as a layer is worked from.
      # @param said [LayerSaid]
      # @return [Seen]
      def seen_by(said) = Seen.of(self, said)
    end

    class Document
      FORMAT = "crisp-lantern/plan"
      VERSION = 1

      MARKS = {"in" => Rational(1, 8), "cm" => Rational(25, 127)}.freeze
      REMNANTS = {"in" => Rational(6), "cm" => Rational(750, 127)}.freeze

      class << self
        # @param document [Hash] as JSON gives it
        # @param cache [#fetch] of what was worked out before
        # @return [Document]
        # @raise [Refused] with every problem found
        def read(document, cache: Cache::None)
          raise Refused.at("", "A plan is a JSON object with named fields.") unless document.is_a?(Hash)
          illegible = Legible.problems(document)
          raise Refused.new(illegible) if illegible.any?
          reading = Reading.new(units: %w[in cm].find { _1 == document["units"] } || "in", cache:)
          reading.material_ids = ids_of(document)
          reading.open_form = open_form?(document)
          read = Field::Record.new(:plan, fields:, label: "A plan").read(document, "", reading)
          read_whole(read, reading)
        end

        # The form of a plan is read in a room of its own, which says here how.
        # @yieldreturn [Field]
        def form_is_read_by(&reader) = @form_reader = reader

        # Whether a form is open, so that places along it are lengths and not hours, is said there too.
        # @yieldparam form [Hash] as it stands in a document
        def open_forms_are(&asked) = @open_form = asked

        def open_form?(document) = document["form"].is_a?(Hash) && @open_form.call(document["form"])

        # @return [Array<Field>] what a plan document is made of
        def fields
          @fields ||= [
            Field::Constant.new(:format, value: FORMAT, label: "The format"),
            Field::Constant.new(:version, value: VERSION, label: "The version"),
            Field::Text.new(:name, default: "Untitled wreath", label: "Name"),
            Field::Choice.new(:units, choices: {in: "inches", cm: "centimetres"}, required: true, label: "Units"),
            Field::Count.new(:quantity, default: 1, most: 500, label: "Wreaths alike"),
            *cutting_fields,
            @form_reader.call,
            Field::List.new(:materials, of: Material::Reader.new(:material), most: 60, label: "Materials"),
            Field::List.new(:layers, of: LayerSaid::Reader.new(:layer), most: 30, label: "Layers"),
            OwnStep.field,
            Terms.field,
            Field::Currency.new(:currency),
            Field::Money.new(:budget, label: "A wreath may cost"),
            Field::Day.new(:today, label: "Today", help: "For sales in sight."),
            Allowances.field,
            Pace.field
          ]
        end

        # @return [Array<Field>] how sure and how fine a plan is cut
        def cutting_fields
          [
            Field::Number.new(:sureness, default: 0.9, least: 0.5, most: 0.999, label: "How sure that it is enough",
              help: "0.9 is nine makes in ten; it decides when one more package is worth it."),
            Field::Length.new(:smallest_mark, most: 4, label: "Smallest mark on your tape",
              default_says: "1/8 in, or 5 mm"),
            Field::Length.new(:smallest_remnant, zero: true, label: "Smallest remnant worth keeping",
              default_says: "6 in, or 15 cm")
          ]
        end

        private

        def ids_of(document)
          materials = document["materials"]
          return [] unless materials.is_a?(Array)
          materials.filter_map { _1["id"] if _1.is_a?(Hash) && _1["id"].is_a?(String) }.map(&:strip)
        end

        def read_whole(read, reading)
          refuse_repeated_ids(read, reading)
          refuse_steps_after_nothing(read, reading)
          refuse_other_than_form(read, reading)
          refuse_saving_what_is_no_length(read, reading)
          raise Refused.new(reading.problems) if reading.problems.any?
          units = read[:units].to_s
          money = Terms.of(read[:money])
          new(**read.slice(*members), units:, money:, steps: read[:steps].map { OwnStep.new(**_1) },
            lengths: reading.lengths,
            materials: money.priced(read[:materials]), learned: Allowances.of(read[:learned]),
            paces: read[:paces].map { Pace.new(**_1) },
            smallest_mark: read[:smallest_mark] || MARKS[units],
            smallest_remnant: read[:smallest_remnant] || REMNANTS[units])
        end

        # A step stands by a layer, a step of one, another step of the maker's own, or what comes before all of them.
        def refuse_steps_after_nothing(read, reading)
          layers = (read[:layers] || []).filter_map { _1&.id }
          known = [*OwnStep::PLACES, *OwnStep::STEPS, *layers, *(read[:steps] || []).filter_map { _1 && _1[:id] }]
          (read[:steps] || []).each_with_index do |step, i|
            next if step.nil?
            reading.refuse("steps.#{i}.after", "After is missing: say what it comes after, or before.") unless
              step[:after] || step[:before]
            step.slice(:after, :before).compact.each do |key, place|
              next if known.include?(place) || layers.include?(place.split(".").first)
              reading.refuse("steps.#{i}.#{key}",
                "There is no layer #{reading.quote(place)} for this step to come #{key}.")
            end
            refuse_taking(step, "steps.#{i}.takes", read, reading)
          end
        end

        def refuse_taking(step, at, read, reading)
          (step[:takes] || []).each_with_index do |taken, i|
            of = taken && (read[:materials] || []).find { _1&.id == taken[:material] } or next
            next if of.counted? || taken[:length]
            reading.refuse("#{at}.#{i}.length", "Say how much of #{of.name} it uses up.")
          end
        end

        def refuse_other_than_form(read, reading)
          said = read[:form] or return
          said.parts.map { [_1[:at], _1[:material]] }.push(["form", said.sizes[:material]]).each do |at, id|
            made = id && (read[:materials] || []).find { _1&.id == id }
            next if made.nil? || made.kind == :form
            reading.refuse("#{at}.material", "#{made.name} is #{made.kind}; a form is a material of the kind “form”.")
          end
        end

        def refuse_saving_what_is_no_length(read, reading)
          before = read[:form]&.sizes&.fetch(:before, nil) or return
          saved = before.saves && (read[:materials] || []).find { _1&.id == before.saves }
          if saved && !saved.lengthwise?
            reading.refuse("form.before.saves", "#{saved.name} is #{saved.kind}: only lengths of ribbon, rope or " \
              "mesh are saved.")
          end
          return if before.saves.nil? == before.saved.nil?
          key, says = before.saves ? [:saved, "how much of it"] : [:saves, "what of it"]
          reading.refuse("form.before.#{key}", "Say #{says} is saved, too.")
        end

        def refuse_repeated_ids(read, reading)
          {materials: "material", layers: "layer"}.each do |list, word|
            (read[list] || []).group_by(&:id).each do |id, same|
              next unless id && same.size > 1
              reading.refuse(list.to_s,
                "Two #{list} are called #{reading.quote(id)}; each #{word} needs an id of its own.")
            end
          end
        end
      end
    end
  end
end
