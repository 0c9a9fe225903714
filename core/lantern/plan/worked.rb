# frozen_string_literal: true

module Lantern
  module Plan
    # The worked plan, written down as JSON wants it. Lengths are in the plan's own units, to four
    # places; sums of money are texts.
    class Worked
      def initialize(plan:, form:, layers:, stock:, bill:, bench:, drawing:)
        @plan, @form, @layers, @stock, @bill, @bench, @drawing = plan, form, layers, stock, bill, bench, drawing
      end

      # @return [Hash]
      def to_h
        {
          "format" => "crisp-lantern/worked-plan", "version" => Document::VERSION,
          "name" => @plan.name, "units" => @plan.units, "quantity" => @plan.quantity, "sureness" => @plan.sureness,
          "lengths" => @plan.lengths.transform_values { Measure::Length.exact_text(_1, units: @plan.units) },
          "form" => form,
          "layers" => @layers.map { layer(_1) },
          "materials" => stockpiles.map(&:to_h),
          "cost" => @bill.to_h, "cost_working" => @bill.working,
          "tape" => tape,
          "stages" => stages,
          "cut_sheet" => stockpiles.reject(&:counted?).flat_map(&:cut_sheet),
          "steps" => @bench.steps.map(&:to_h),
          "minutes" => @bench.minutes.round,
          "cautions" => @bench.cautions,
          "supplies" => @bench.supplies.to_h, "findings" => @bench.findings.map(&:to_h),
          "drawing" => @drawing
        }
      end

      private

      def stockpiles = @stockpiles ||= @bill.entries.map { Stockpile.new(_1, @plan) }

      def form
        figures = @form.figures.to_h { |name, inches| [name.to_s, (name == :area) ? area(inches) : length(inches)] }
        figures.merge("base" => @form.base.to_s, "shape" => @form.shape.to_s, "findings" => @form.findings.map(&:to_h), "working" => form_working)
      end

      def form_working
        figures = @form.figures
        lengths = {"Along the middle" => :run, "Along the inside edge" => :inside_run, "Along the outside edge" => :outside_run, "Across the band" => :face, "Once round the band" => :girth}
        wide = @form.closed? && @form.wide_run - @form.outside_run < 1e-6
        lengths["Along whichever edge is the longer"] = :wide_run unless wide
        lengths["Along whichever edge is the shorter"] = :crowded_run unless wide
        [*lengths.map { |says, name| {"says" => says, "sum" => "", "answer" => text(figures[name])} },
          *@form.ribs.each_with_index.map { |rib, i| {"says" => "Rib #{i + 1}", "sum" => "", "answer" => text(rib.length)} },
          *[@form.stem].compact.map { |stem| {"says" => "Stem", "sum" => "#{text(stem.diameter)} thick", "answer" => text(stem.length)} },
          {"says" => "To cover, all round", "sum" => "#{text(figures[:girth])} × #{text(figures[:run])}", "answer" => area_text(figures[:area])}]
      end

      def area_text(square_inches) = "#{area(square_inches).round((@plan.units == "in") ? 1 : 0).to_s.delete_suffix(".0")} sq #{@plan.units}"

      def layer(covering)
        figures = covering.figures.to_h { |name, number| [name.to_s, figure(name, number)] }
        {"id" => covering.id, "method" => covering.class.method_name.to_s, "title" => covering.class.title, "materials" => covering.materials.map(&:id),
         "settings" => settings(covering), "figures" => figures, "needs" => covering.required.map { _1.to_h(@plan.units) }, "minutes" => covering.minutes.round(1),
         "findings" => covering.findings.map(&:to_h), "working" => [*covering.working, *learned(covering)].map(&:to_h)}
      end

      def learned(covering)
        covering.learned.map do |each|
          total = covering.required.select { _1.material == each.material }.sum(&:total)
          Cover::Working.new(says: "With what was learned: #{each.says}", sum: "× #{format("%.3f", each.factor)}", answer: Measure::Length.long_text(total, units: @plan.units))
        end
      end

      # What every option comes to, said or not.
      def settings(covering)
        covering.class.options.to_h { |option|
          value = covering.public_send(option.name)
          [option.name.to_s, option.is_a?(Field::Length) ? (text(value) if value) : (value.to_s if value.is_a?(Numeric) || value.is_a?(Symbol))]
        }.compact
      end

      def text(inches) = Measure::Length.text(inches, units: @plan.units)

      def figure(name, number)
        return area(number) if name == :area
        return length(number) if Cover::Covering::LENGTHS.include?(name)
        number.is_a?(Integer) ? number : number.to_f.round(4)
      end

      def length(inches) = Measure::Length.in_units(inches, @plan.units)

      def area(square_inches) = (square_inches / Measure::Length::IN[@plan.units]**2).to_f.round(4)

      # The answers that the tape carries, in the maker's own words.
      def tape
        Tape.new(plan: @plan, layers: @layers, bill: @bill, bench: @bench).figures
      end

      def settled?(stage)
        own = @layers.select { _1.class.stage == stage }
        own.any? && own.flat_map(&:findings).none? { %i[stop warn].include?(_1.level) }
      end

      # Which stages have nothing left to settle. Whether it was made, the plan does not know.
      def stages
        {
          "form" => true,
          "cover" => settled?(:cover), "trim" => settled?(:trim), "hang" => @layers.any?(Trim::Hanger) && settled?(:hang),
          "cut" => @stock.any? { !_1.demand.none? } && @stock.all? { _1.short.zero? },
          "bench" => false,
          "buy" => @stock.any? { !_1.demand.none? } && @bill.to_buy.zero? && @stock.all? { _1.short.zero? }
        }
      end
    end
  end
end
