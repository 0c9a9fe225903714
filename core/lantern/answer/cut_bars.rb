# frozen_string_literal: true

module Lantern
  module Answer
    # The cut sheet of one material: every length opened as a bar, its cuts in order with where each begins.
    # Bars that are cut alike are stacked: `times` says how many.
    class CutBars
      # @param cutting [Cut::Cutting]
      # @param plan [#units, #smallest_remnant]
      def initialize(cutting, material, plan)
        @cutting, @material, @plan = cutting, material, plan
        @units = plan.units
        @names = BarName.new(cutting, plan.units)
      end

      # @return [Array<Hash>] ready for JSON
      def to_a
        @cutting.bars.each_with_index.chunk_while { |(a, _), (b, _)| a == b }.map { |alike| stack(alike) }
      end

      private

      def stack(alike)
        bar, i = alike.first
        {
          "id" => "#{@material.id}.#{i + 1}", "material" => @material.id, "from" => @names.of_all(alike),
          "times" => alike.size, "length" => length(bar.length), "says" => bar_text(bar), "cuts" => cuts(bar),
          "left" => length(bar.left), "left_says" => text(bar.left), "keep" => keep?(bar),
          "sheet" => (sheet(bar) if @material.sheets?)
        }.compact
      end

      # A remnant is measured, a package is said as it is sold.
      def bar_text(bar) = (bar.source == :on_hand) ? text(bar.length) : long_text(bar.length)

      def keep?(bar)
        return bar.kept(@plan.smallest_remnant).any? if @material.sheets?
        bar.left.positive? && bar.left >= @plan.smallest_remnant
      end

      def cuts(bar)
        at = 0
        bar.cuts.map do |cut|
          start = at
          at += cut.length * cut.count
          written(cut, start)
        end
      end

      def written(cut, start)
        size = cut.run? ? long_text(cut.length) : text(cut.length)
        {
          "what" => cut.what, "one" => cut.one || cut.what, "shape" => cut.shape.to_s, "at" => length(start),
          "length" => length(cut.length), "count" => cut.count,
          "says" => [(text(cut.width) if cut.width), size].compact.join(" by "),
          "width" => (length(cut.width) if cut.width), "block" => (block(cut.block) if cut.block)
        }.compact
      end

      # A sheet as it lies, and the pieces of it that are worth keeping.
      def sheet(bar)
        size = (bar.source == :on_hand) ? @material.on_hand[bar.index] : @material.offers[bar.index]
        width, long = text(size[:width]), text(size[:length])
        {
          "width" => length(size[:width]), "length" => length(size[:length]),
          "end_width" => length(size[:end_width] || size[:width]), "lost" => length(@material.lost_edge || 0),
          "says" => "#{width} by #{long}", "width_says" => width, "length_says" => long,
          "rest" => bar.kept(@plan.smallest_remnant).map { |sides| sides.map { text(_1) }.join(" by ") }
        }
      end

      def block(block)
        {
          "x" => length(block.x), "y" => length(block.y), "width" => length(block.width),
          "length" => length(block.length), "columns" => block.columns, "rows" => block.rows,
          "turned" => block.turned, "bias" => block.bias
        }
      end

      def length(inches) = Measure::Length.in_units(inches, @units)

      def text(inches) = Measure::Length.text(inches, units: @units)

      def long_text(inches) = Measure::Length.long_text(inches, units: @units)
    end
  end
end
