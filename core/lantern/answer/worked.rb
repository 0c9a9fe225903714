# frozen_string_literal: true

module Lantern
  module Answer
    # The worked plan, written down as JSON wants it. Lengths are in the plan's own units, to four
    # places; sums of money are texts.
    class Worked
      # @param work [Work]
      def initialize(work)
        @work = work
        @plan = work.plan
      end

      # Everything.
      # @return [Hash]
      def to_h
        coverage = Coverage.new(@work)
        told = first
        told.merge("form" => told["form"].merge(coverage.form),
          "layers" => @work.layers.map { layer(_1).merge(coverage.layer(_1)) }, "stages" => coverage.stages,
          "drawing" => drawing.merge("gaps" => drawing["gaps"] + coverage.gaps))
      end

      # What typing changes first: everything but what follows from where the strips lie ({Coverage}). A stage whose
      # layers close something is not said to be settled, nor that it is not.
      # @return [Hash]
      def first
        {
          "format" => "crisp-lantern/worked-plan", "version" => Plan::Document::VERSION,
          "name" => @plan.name, "units" => @plan.units, "currency" => @plan.currency,
          "quantity" => @plan.quantity, "sureness" => @plan.sureness,
          "lengths" => @plan.lengths.transform_values { Measure::Length.exact_text(_1, units: @plan.units) },
          "form" => Measured.new(@work.form, @plan.units).to_h.merge(form_cost),
          "layers" => @work.layers.map { layer(_1).merge("findings" => @work.own_findings(_1).map(&:to_h)) },
          "materials" => stockpiles.map(&:to_h),
          "cost" => @work.bill.to_h, "cost_working" => @work.bill.working.map(&:to_h),
          "tape" => Tape.new(@work).figures, "stages" => stages,
          "cut_sheet" => stockpiles.reject(&:counted?).flat_map(&:cut_sheet),
          "steps" => course.steps.map(&:to_h), "minutes" => course.minutes.round,
          "cautions" => course.cautions.map(&:to_h), "tools" => course.tools,
          "fixings" => course.supplies.fixings.map(&:to_h), "supplies" => course.supplies.to_h,
          "findings" => [*course.findings, *over_budget].map(&:to_h), "drawing" => drawing
        }
      end

      private

      def drawing = @work.drawing

      # What one may cost is held against what goes into one.
      def over_budget
        return [] unless @plan.budget
        over = @work.bill.per_wreath - @plan.budget
        return [] unless over.positive?
        [Plan::Finding.new(level: :warn, code: "over_budget", at: "budget", says: "What goes into a wreath is " \
          "#{@plan.money_says(over)} over the #{@plan.money_says(@plan.budget)} it may cost.")]
      end

      # What one form costs, where the plan says which it is.
      def form_cost
        forms = @work.bill.entries.select { @plan.form.made_of.include?(_1.material.id) }
        forms.any? ? {"cost" => @plan.money_text(forms.sum(&:used) / @plan.quantity)} : {}
      end

      def course = @work.course

      def stockpiles = @stockpiles ||= @work.bill.entries.map { Stockpile.new(_1, @plan) }

      # What it says of itself, whatever it covers; worked once.
      def layer(layer)
        (@layers ||= {}.compare_by_identity)[layer] ||= {
          "id" => layer.id, "method" => layer.class.method_name.to_s, "title" => layer.class.title,
          "stage" => layer.class.stage.key.to_s, "materials" => layer.materials.map(&:id),
          "settings" => settings(layer), "figures" => figures(layer),
          "needs" => layer.required.map { _1.to_h(@plan.units) }, "minutes" => layer.minutes.round(1),
          "working" => [*layer.working, *learned(layer)].map(&:to_h), **parts_of(layer)
        }
      end

      def parts_of(layer) = layer.composition.then { _1.any? ? {"parts" => _1} : {} }

      def figures(layer)
        numbers = layer.figures
        layer.class.figures.select { numbers.key?(_1.key) }
          .to_h { |figure| [figure.key.to_s, figure.written(numbers[figure.key], @plan.units)] }
      end

      def learned(layer)
        layer.learned.map do |each|
          total = layer.required.select { _1.material == each.material }.sum(&:total)
          Place::Working.new(key: :learned, says: "With what was learned: #{each.says}",
            sum: "× #{format("%.3f", each.factor)}", answer: Measure::Length.long_text(total, units: @plan.units))
        end
      end

      # What every option comes to, said or not.
      def settings(layer)
        layer.class.options.to_h { [_1.name.to_s, setting(_1, layer.public_send(_1.name))] }.compact
      end

      def setting(option, value)
        return value && Measure::Length.text(value, units: @plan.units) if option.is_a?(Plan::Field::Length)
        value.to_s if value.is_a?(Numeric) || value.is_a?(Symbol)
      end

      def stages
        waiting = @work.layers.select { @work.waits?(_1) }.map { _1.class.stage.key }
        coverage = Coverage.new(@work)
        (Stage::ALL.keys - waiting).to_h { |key| [key.to_s, coverage.settled?(key)] }
      end
    end
  end
end
