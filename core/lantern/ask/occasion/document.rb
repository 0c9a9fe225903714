# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # An occasion, read and checked: the day, what may be spent, when there is time, and the plans with
      # what each of them needs.
      #
      # `evenings` are weekdays, Sunday nought, and `hours` what an evening is good for; `drying` are days
      # that glue and paint want before hanging, `delivery` days that a package is under way. `today` is said
      # by whoever asks: the core has no clock. `sale` is the next day that sale prices begin, and
      # `sale_every` how many days later they begin again.
      Document = Value.define(:name, :units, :day, :today, :budget, :evenings, :hours, :drying, :delivery, :sale,
        :sale_every, :sureness, :money, :currency, :materials, :works, :smallest_mark, :smallest_remnant) do
        # @return [Integer] how many wreaths
        def quantity = works.sum { _1.plan.quantity }

        # @return [Numeric] minutes at the bench, all wreaths
        def minutes = works.sum { _1.course.minutes }

        # @return [String] a sum in its currency
        def money_says(amount) = Measure::Money.says(amount, currency)

        def money_text(amount) = Measure::Money.text(amount, currency)

        def material(id) = materials.find { _1.id == id }
      end

      class Document
        FORMAT = "crisp-lantern/occasion"
        VERSION = 1
        DAYS = %w[sunday monday tuesday wednesday thursday friday saturday].freeze

        class << self
          # @raise [Plan::Refused]
          def read(document)
            raise Plan::Refused.at("", "An occasion is a JSON object with named fields.") unless document.is_a?(Hash)
            reading = Plan::Reading.new(units: %w[in cm].find { _1 == document["units"] } || "in")
            read = Plan::Field::Record.new(:occasion, fields:, label: "An occasion").read(document, "", reading)
            works = (document["plans"].is_a?(Array) ? document["plans"] : [])
              .each_with_index.filter_map { |plan, i|
              reading.collect {
                within(
                            "plans.#{i}"
                          ) { work(plan, document) }
              }
            }
            materials = reading.collect { shared(works) }
            check_days(read, reading)
            raise Plan::Refused.new(reading.problems) if reading.problems.any?
            units = read[:units].to_s
            money = Plan::Terms.of(read[:money])
            new(**read.slice(*members), units:, money:, works:, materials: money.priced(materials),
              evenings: read[:evenings].map(&:to_s), today: read[:today] || read[:day],
              smallest_mark: Plan::Document::MARKS[units], smallest_remnant: works.map { _1.plan.smallest_remnant }
                .min || Plan::Document::REMNANTS[units])
          end

          # @return [Array<Plan::Field>]
          def fields
            field = Plan::Field
            [
              field::Constant.new(:format, value: FORMAT, label: "The format"),
              field::Constant.new(:version, value: VERSION, label: "The version"),
              field::Text.new(:name, default: "Untitled occasion", label: "Name"),
              field::Choice.new(:units, choices: {in: "inches", cm: "centimetres"}, default: :in, label: "Units"),
              field::Day.new(:day, label: "They hang on"),
              field::Day.new(:today, label: "Today"),
              field::Money.new(:budget, label: "May cost"),
              field::List.new(:evenings, label: "Free evenings", most: 7,
                of: field::Choice.new(:evening, choices: DAYS.to_h { [_1.to_sym, _1.capitalize] }, label: "A weekday")),
              field::Number.new(:hours, default: 2.0, least: 0.25, most: 16.0, label: "Hours an evening"),
              field::Count.new(:drying, least: 0, most: 60, default: 1, label: "Days to dry"),
              field::Count.new(:delivery, least: 0, most: 120, default: 2, label: "Days a package is under way"),
              field::Day.new(:sale, label: "The next sale begins"),
              field::Count.new(:sale_every, most: 400, label: "Days from sale to sale"),
              field::Number.new(:sureness, default: 0.9, least: 0.5, most: 0.999, label: "How sure"),
              Plan::Terms.field,
              field::Currency.new(:currency),
              field::List.new(:plans, of: field::Anything.new(:plan, label: "A plan"), most: 200, label: "Plans")
            ]
          end

          private

          # In the occasion's own units and on its terms.
          def work(plan, document)
            if plan.is_a?(Hash) && %w[in cm].include?(document["units"])
              plan = Plan::Units.change(plan, to: document["units"])
            end
            Work.read(plan.is_a?(Hash) ? plan.except("money") : plan).tap(&:layers)
          end

          def within(place)
            yield
          rescue Plan::Refused => refused
            raise Plan::Refused.new(
              refused.problems.map { Problem::Entry.new(at: "#{place}.#{_1.at}".delete_suffix("."), says: _1.says) }
            )
          end

          # The materials of all plans; one id means one thing.
          def shared(works)
            found = works.flat_map { |work| work.plan.materials }.group_by(&:id)
            unlike = found.select { |_, same| same.uniq.size > 1 }
            if unlike.any?
              raise Plan::Refused.new(unlike.map { |id, _|
                Problem::Entry.new(at: "plans",
                  says: "Two plans mean different things by the material “#{id}”: give one of them another id, or " \
                  "the " \
                    "same sizes, offers and lengths on hand.")
              })
            end
            found.values.map(&:first)
          end

          def check_days(read, reading)
            if read[:today] && read[:day] && read[:today] > read[:day]
              reading.refuse("today", "Today (#{read[:today]}) is after the day they hang (#{read[:day]}).")
            end
          end
        end
      end
    end
  end
end
