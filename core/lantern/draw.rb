# frozen_string_literal: true

module Lantern
  # Where everything lies, to scale, as plain numbers and paths in the plan's own units; y runs
  # down, the middle of the form at nought.
  module Draw
    class << self
      # @param plan [Plan::Document]
      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @return [Hash] ready for JSON
      def work(plan, form, layers)
        scale = Scale.new(plan.units)
        lies = layers.flat_map { |layer| layer.lies.map { |lie| raised(lie, layer.form, form) } }
        {
          "bounds" => bounds(form, lies, scale),
          "outline_bounds" => bounds(form, [], scale),
          "form" => Outline.form(form, scale),
          "section" => Outline.section(form, lies, scale),
          "layers" => lies.map { _1.to_h(scale) },
          "gaps" => gaps("gap", layers.flat_map(&:gaps), plan.units),
          "surfaces" => Surfaces.of(plan.materials, scale),
          "dimensions" => form.dimensions.map { dimension(_1, plan, scale) }
        }
      end

      # Left, top, right, bottom of all that is drawn.
      def bounds(form, lies, scale)
        reach = lies.map(&:reach).max || 0
        edges = [form.path.reach(form.half_face).zip([-reach, -reach, reach, reach]).map(&:sum),
          *form.parts.map { |part| edges(part.path, (part.diameter || 0) / 2) }].transpose
        [edges[0].min, edges[1].min, edges[2].max, edges[3].max].map { scale.number(_1) }
      end

      # @param places [Array<Covered::Patch>]
      # @return [Array<Hash>] the same as a drawing points at gaps
      def bare(places, units)
        gaps("bare", places.map { Place::Gap.new(from: _1.at, to: _1.at, width: _1.wide) }, units)
      end

      private

      def gaps(word, gaps, units)
        scale = Scale.new(units)
        gaps.map { _1.to_h(scale).merge("says" => "#{word} #{Measure::Length.text(_1.width, units:)}") }
      end

      # What lies on top of another layer begins farther out than the bare form.
      def raised(lie, on, form) = (on.face > form.face) ? lie.with(reach: lie.reach + (on.face - form.face) / 2) : lie

      def dimension(dimension, plan, scale)
        {"about" => dimension[:about], "from" => scale.point(dimension[:from]), "to" => scale.point(dimension[:to]),
         "says" => Measure::Length.text(dimension[:length], units: plan.units), "inset" => dimension[:inset] || false,
         "across" => dimension[:across] || false, "follows" => dimension[:follows] || false}
      end

      def edges(path, beyond) = path.box.zip([-beyond, -beyond, beyond, beyond]).map(&:sum)
    end
  end
end
