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

      # @return [Hash]
      def to_h
        {
          "format" => "crisp-lantern/worked-plan", "version" => Plan::Document::VERSION,
          "name" => @plan.name, "units" => @plan.units, "currency" => @plan.currency,
          "quantity" => @plan.quantity, "sureness" => @plan.sureness,
          "lengths" => @plan.lengths.transform_values { Measure::Length.exact_text(_1, units: @plan.units) },
          "form" => Measured.new(@work.form, @plan.units).to_h.merge(form_cost),
          "layers" => @work.layers.map { layer(_1) },
          "materials" => stockpiles.map(&:to_h),
          "cost" => @work.bill.to_h, "cost_working" => @work.bill.working.map(&:to_h),
          "tape" => Tape.new(@work).figures, "stages" => stages,
          "cut_sheet" => stockpiles.reject(&:counted?).flat_map(&:cut_sheet),
          "steps" => course.steps.map(&:to_h), "minutes" => course.minutes.round,
          "cautions" => course.cautions.map(&:to_h), "tools" => course.tools,
          "fixings" => course.supplies.fixings.map(&:to_h), "supplies" => course.supplies.to_h,
          "findings" => course.findings.map(&:to_h), "drawing" => drawing
        }
      end

      private

      # With the places that are bare pointed at.
      def drawing
        bare = Draw.bare(@work.bare_places, @plan.units)
        @work.drawing.merge("gaps" => @work.drawing["gaps"] + bare)
      end

      # What one form costs, where the plan says which it is.
      def form_cost
        entry = @work.bill.entries.find { _1.material.id == @plan.form.sizes[:material] }
        entry ? {"cost" => @plan.money_text(entry.used / @plan.quantity)} : {}
      end

      def course = @work.course

      def stockpiles = @stockpiles ||= @work.bill.entries.map { Stockpile.new(_1, @plan) }

      def layer(layer)
        covered = @work.covered(layer)
        {
          "id" => layer.id, "method" => layer.class.method_name.to_s, "title" => layer.class.title,
          "stage" => layer.class.stage.key.to_s, "materials" => layer.materials.map(&:id),
          "settings" => settings(layer), "figures" => figures(layer),
          "needs" => layer.required.map { _1.to_h(@plan.units) }, "minutes" => layer.minutes.round(1),
          "covered" => covered.share&.round(4), "bare" => covered.places.map { _1.to_h(scale) },
          "findings" => @work.findings(layer).map(&:to_h), "working" => [*layer.working, *learned(layer)].map(&:to_h)
        }.compact
      end

      def scale = @scale ||= Draw::Scale.new(@plan.units)

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

      # Which stages have nothing left to settle. Whether it was made, the plan does not know.
      def stages = Stage::ALL.keys.to_h { |key| [key.to_s, settled?(key)] }

      def settled?(key)
        case key
        when :form then @work.form.findings.none? { _1.level == :warn }
        when :hang then @work.layers.any?(&:hangs?) && layers_settled?(key)
        when :cut then needed? && @work.enough?
        when :buy then needed? && @work.enough? && @work.bill.to_buy.zero?
        when :bench then false
        else layers_settled?(key)
        end
      end

      def needed? = @work.bill.needed.any?

      def layers_settled?(key)
        own = @work.layers.select { _1.class.stage.key == key }
        own.any? && own.flat_map { @work.findings(_1) }.none? { %i[stop warn].include?(_1.level) }
      end
    end
  end
end
