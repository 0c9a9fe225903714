# frozen_string_literal: true

module Lantern
  # Where everything lies, to scale, as plain numbers and paths in the plan's own units; y runs
  # down, the middle of the form at nought.
  module Draw
    class << self
      # @param plan [Plan::Document]
      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @param outline [Hash] what {outline} answers of the form
      # @param drawn [Array<Hash>] what {lies} answers of each layer
      # @return [Hash] ready for JSON
      def work(plan, form, layers, outline:, drawn:)
        scale = Scale.new(plan.units)
        lies = layers.flat_map(&:in_place)
        {
          "bounds" => bounds(form, lies, scale),
          "outline_bounds" => bounds(form, [], scale),
          "form" => outline,
          "section" => Outline.section(form, lies, scale),
          "layers" => drawn,
          "gaps" => gaps("gap", layers.flat_map(&:gaps), plan.units),
          "surfaces" => Surfaces.of(plan.materials, scale),
          "dimensions" => form.dimensions.map { dimension(_1, plan, scale) }
        }
      end

      # The form itself.
      # @param units [String]
      # @return [Hash] ready for JSON
      def outline(form, units) = Outline.form(form, Scale.new(units))

      # Where the pieces of a layer lie.
      # @param units [String]
      # @return [Array<Hash>] ready for JSON
      def lies(layer, units)
        scale = Scale.new(units)
        [nil, *layer.in_place].each_cons(2).map { |before, lie| lie.to_h(scale).merge(more(lie, before)) }
      end

      # Left, top, right, bottom of all that is drawn.
      def bounds(form, lies, scale)
        edges = [form.path.reach(form.half_face), *lies.filter_map(&:box),
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

      # Cord of the same layer and material is told apart by its colour: fillers among coils.
      def more(lie, before)
        same = before && lie.look.round? && lie.instance_of?(before.class) && lie.layer == before.layer &&
          lie.materials.first == before.materials.first
        same ? {"more" => true} : {}
      end

      def dimension(dimension, plan, scale)
        {"about" => dimension[:about], "from" => scale.point(dimension[:from]), "to" => scale.point(dimension[:to]),
         "says" => Measure::Length.text(dimension[:length], units: plan.units), "inset" => dimension[:inset] || false,
         "across" => dimension[:across] || false, "follows" => dimension[:follows] || false}
      end

      def edges(path, beyond) = path.box.zip([-beyond, -beyond, beyond, beyond]).map(&:sum)
    end
  end
end
