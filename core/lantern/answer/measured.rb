# frozen_string_literal: true

module Lantern
  module Answer
    # The form of a worked plan: its figures, and what it measures, line by line.
    class Measured
      # @param form [Form::Band]
      # @param units [String]
      def initialize(form, units)
        @form, @units = form, units
      end

      # @return [Hash] ready for JSON
      def to_h
        figures = @form.figures.to_h { |name, number| [name.to_s, (name == :area) ? area(number) : length(number)] }
        corners = @form.path.pointed? ? "pointed" : "rounded" if @form.stretches.fans.any?
        figures.merge("base" => @form.base.to_s, "shape" => @form.shape.to_s, **(corners ? {"corners" => corners} : {}),
          "findings" => @form.findings.map(&:to_h), "working" => working.map(&:to_h))
      end

      private

      LENGTHS = {
        run: "Along the middle", inside_run: "Along the inside edge", outside_run: "Along the outside edge",
        face: "Across the band", girth: "Once round the band"
      }.freeze
      # Where the wide side changes from edge to edge.
      CHANGING = {
        wide_run: "Along whichever edge is the longer", crowded_run: "Along whichever edge is the shorter"
      }.freeze
      private_constant :LENGTHS, :CHANGING

      def working
        figures = @form.figures
        named = changes_sides? ? {**LENGTHS, **CHANGING} : LENGTHS
        [
          *named.map { |name, says| line(name, says, "", text(figures[name])) },
          *@form.ribs.each_with_index.map { |rib, i| line(:"rib_#{i + 1}", "Rib #{i + 1}", "", text(rib.length)) },
          *[@form.stem].compact.map { line(:stem, "Stem", "#{text(_1.diameter)} thick", text(_1.length)) },
          line(:area, "To cover, all round", pencil("%l #{@units} × %l #{@units}", figures[:girth], figures[:run]),
            area_text(figures[:area]))
        ]
      end

      def changes_sides? = !(@form.closed? && @form.wide_run - @form.outside_run < 1e-6)

      def pencil(pattern, *values) = Measure::Sum.new(pattern:, values:, units: @units, mark: 1)

      def line(key, says, sum, answer) = Place::Working.new(key:, says:, sum:, answer:)

      def area_text(square_inches)
        "#{Measure::Words.short(area(square_inches).round((@units == "in") ? 1 : 0))} sq #{@units}"
      end

      def text(inches) = Measure::Length.text(inches, units: @units)

      def length(inches) = Measure::Length.in_units(inches, @units)

      def area(square_inches) = Measure::Length.square_in_units(square_inches, @units)
    end
  end
end
