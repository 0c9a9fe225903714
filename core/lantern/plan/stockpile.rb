# frozen_string_literal: true

module Lantern
  module Plan
    # One material of the worked plan: what is needed, bought, cut and left.
    class Stockpile
      # @param entry [Cost::Entry]
      def initialize(entry, plan)
        @entry = entry
        @cutting = entry.cutting
        @material = entry.material
        @plan = plan
      end

      def to_h
        {
          "id" => @material.id, "name" => @material.name, "kind" => @material.kind.to_s,
          "needed" => length(@cutting.demand.total), "on_hand" => on_hand, "short" => length(@cutting.short),
          "buy" => @entry.buy.map { {"offer" => _1[:offer], "count" => _1[:count], "cost" => Measure::Money.text(_1[:cost])} },
          "chance_enough" => @entry.chance_enough, "joins" => @cutting.joins,
          "cutting" => @cutting.bars.each_with_index.map { |bar, i| bar(bar, i) },
          "optimal" => @cutting.optimal, "bound" => Measure::Money.text(BigDecimal(@cutting.bound) / 10_000),
          "left" => @entry.remnants.map { length(_1) },
          "cost_to_buy" => Measure::Money.text(@entry.to_buy), "cost_used" => Measure::Money.text(@entry.used),
          "alternatives" => choice.alternatives.map { |each| each.except(:rate).transform_keys(&:to_s) }, "reason" => choice.reason,
          "findings" => findings.map(&:to_h), "working" => working
        }.compact
      end

      # Whether there is nothing to cut of it.
      def counted? = @material.counted?

      # Every length opened as a bar, its cuts in order with where each begins. Bars that are cut
      # alike are stacked: `times` says how many.
      def cut_sheet
        @cutting.bars.each_with_index.chunk_while { |(a, _), (b, _)| a == b }.map do |alike|
          bar, i = alike.first
          at = 0
          cuts = bar.cuts.map do |cut|
            start = at
            at += cut.length * cut.count
            {"what" => cut.what, "shape" => cut.shape.to_s, "at" => length(start), "length" => length(cut.length), "count" => cut.count, "says" => [cut.width && short_text(cut.width), says(cut.length, cut.shape)].compact.join(" by "),
             "width" => (length(cut.width) if cut.width), "block" => (block(cut.block) if cut.block)}.compact
          end
          {"id" => "#{@material.id}.#{i + 1}", "material" => @material.id, "from" => title(alike), "times" => alike.size, "length" => length(bar.length), "says" => (bar.source == :on_hand) ? short_text(bar.length) : text(bar.length), "cuts" => cuts,
           "left" => length(bar.left), "left_says" => short_text(bar.left), "keep" => bar.left >= (@material.counted? ? 1 : @plan.smallest_remnant) && bar.left.positive?, "sheet" => (sheet(bar) if @material.sheets?)}.compact
        end
      end

      private

      def choice = @choice ||= Cost::Choice.new(@entry, @plan)

      def on_hand
        return length(@material.on_hand.sum(0r)) if @material.lengthwise?
        @material.sheets? ? @material.on_hand.size : @material.on_hand.sum
      end

      def bar(bar, index)
        {"from" => name(bar, index), "cuts" => bar.cuts.map { {"what" => _1.what, "length" => length(_1.length), "count" => _1.count} }, "left" => length(bar.left)}
      end

      def name(bar, index)
        return "what is on hand" if bar.source == :on_hand && @material.counted?
        return "remnant #{Measure::Length.in_units(bar.length, @plan.units)}" if bar.source == :on_hand && !@material.sheets?
        return "sheet on hand #{bar.index + 1}" if bar.source == :on_hand
        "#{@material.sheets? ? "new sheet" : "package"} #{packages[index]}"
      end

      # How many packages were opened up to each bar.
      def packages
        @packages ||= @cutting.bars.reduce([]) { |numbers, bar| numbers << (numbers.last || 0) + ((bar.source == :offer) ? 1 : 0) }
      end

      # What a stack of bars is called on the cut sheet.
      def title(alike)
        first, last = alike.values_at(0, -1).map { |bar, i| name(bar, i) }
        return "remnant" if first.start_with?("remnant")
        (first == last) ? first : "#{first.sub(/ (\d+)\z/, "s \\1")} to #{last[/\d+\z/]}"
      end

      # A sheet as it lies, and the pieces of it that are worth keeping.
      def sheet(bar)
        size = (bar.source == :on_hand) ? @material.on_hand[bar.index] : @material.offers[bar.index]
        kept = bar.rest.select { |sides| sides.min >= @plan.smallest_remnant }
        {"width" => length(size[:width]), "length" => length(size[:length]), "end_width" => length(size[:end_width] || size[:width]), "lost" => length(@material.lost_edge || 0),
         "says" => "#{short_text(size[:width])} by #{short_text(size[:length])}", "rest" => kept.map { |sides| sides.map { short_text(_1) }.join(" by ") }}
      end

      def block(block)
        {"x" => length(block.x), "y" => length(block.y), "width" => length(block.width), "length" => length(block.length), "columns" => block.columns, "rows" => block.rows, "turned" => block.turned, "bias" => block.bias}
      end

      def findings
        found = []
        found << Finding.new(level: :stop, code: "not_enough", says: "#{text(@cutting.short)} of #{@material.name} cannot be had from what is on hand or on offer.", at: "materials.#{@material.id}") if @cutting.short.positive?
        unless @cutting.optimal || @cutting.short.positive?
          found << Finding.new(level: :note, code: "perhaps_less", says: "This is the best cutting found; it may be possible for less, but not for less than #{Measure::Money.text(BigDecimal(@cutting.bound) / 10_000)}.", at: "materials.#{@material.id}")
        end
        found
      end

      def working
        demand = @cutting.demand
        return [] if demand.none?
        [
          *([row("In runs that may be joined", "", text(demand.run))] if demand.run.positive?),
          *demand.pieces.map { row(_1.what.capitalize, "#{_1.count} × #{bare(_1.length)}", text(_1.length * _1.count)) },
          *([row("Joins", "#{@cutting.joins} × #{bare(demand.join)}", text(@cutting.joins * demand.join))] if @cutting.joins.positive?),
          *([row("To be #{(@plan.sureness * 100).round(1).to_s.sub(/\.0\z/, "")} in 100 sure", "#{format("%.2f", Measure::Chance.spreads_for(@plan.sureness))} × a spread of #{bare(demand.spread)}", text(demand.allowance))] if demand.allowance.positive?),
          *@entry.buy.map { |buy| row("To buy", "#{buy[:count]} × #{Measure::Money.text(@material.offers[buy[:offer]][:price])}", Measure::Money.text(buy[:cost])) },
          row("Used, by length", "#{text(@entry.length_used)} in all", Measure::Money.text(@entry.used))
        ]
      end

      def row(says, sum, answer) = {"says" => says, "sum" => sum, "answer" => answer}

      def says(inches, shape) = (shape == :run) ? text(inches) : short_text(inches)

      # Of what is counted, a number is its own text.
      def counted(inches) = @material.counted? ? inches.to_i.to_s : yield

      def short_text(inches) = counted(inches) { Measure::Length.text(inches, units: @plan.units) }

      def length(inches) = @material.counted? ? inches.to_i : Measure::Length.in_units(inches, @plan.units)

      def text(inches) = counted(inches) { Measure::Length.long_text(inches, units: @plan.units) }

      def bare(inches) = counted(inches) { Measure::Length.text(inches, units: @plan.units, unit: false) }
    end
  end
end
