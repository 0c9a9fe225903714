# frozen_string_literal: true

module Lantern
  # Where everything lies, to scale, as plain numbers and paths in the plan's own units; y runs
  # down, the middle of the form at nought.
  module Draw
    class << self
      # @return [Hash] ready for JSON
      def work(plan, form, layers)
        scale = Scale.new(plan.units)
        lies = layers.flat_map(&:lies)
        {
          "bounds" => bounds(form, lies, scale),
          "form" => Outline.form(form, scale),
          "section" => Outline.section(form, lies, scale),
          "layers" => lies.map { _1.to_h(scale) },
          "gaps" => layers.flat_map(&:gaps).map { _1.to_h(scale).merge("says" => "gap #{Measure::Length.text(_1.width, units: plan.units)}") },
          "dimensions" => form.dimensions.map { dimension(_1, plan, scale) }
        }
      end

      private

      def dimension(dimension, plan, scale)
        {"about" => dimension[:about], "from" => scale.point(dimension[:from]), "to" => scale.point(dimension[:to]),
         "says" => Measure::Length.text(dimension[:length], units: plan.units), "inset" => dimension[:inset] || false}
      end

      # Left, top, right, bottom of all that is drawn.
      def bounds(form, lies, scale)
        reach = lies.map(&:reach).max || 0
        xs, ys = form.path.trace(0.0).transpose
        out = form.half_face + reach
        [xs.min - out, ys.min - out, xs.max + out, ys.max + out].map { scale.number(_1) }
      end
    end
  end
end
