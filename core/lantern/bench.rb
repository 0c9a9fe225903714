# frozen_string_literal: true

module Lantern
  # The work itself: steps in their order, and what to be careful of.
  module Bench
    # Steps, cautions, the time they take in minutes for all wreaths of the plan, and what is used up
    # besides the materials.
    Work = Value.define(:steps, :cautions, :minutes, :supplies, :findings)

    class << self
      # @return [Work]
      def work(plan, form, layers, stock)
        cut = cutting(stock)
        each = [prepare(form), *first(layers), *of(layers, :cover), *of(layers, :trim), *last(layers), fluff].map { lengths(_1, layers, stock, plan) }
        hanging = each.size - 1 - last(layers).size
        steps = [each.first, *first(layers), *cut, *each[(1 + first(layers).size)...hanging], *each[hanging..]]
        Work.new(steps:, cautions: Cautions.for(form, layers), minutes: each.sum(&:minutes) * plan.quantity + cut.sum(&:minutes), supplies: Supplies.new(plan, layers), findings: forgotten(layers))
      end

      private

      # The hanger is fitted before the covering, unless the maker wants it last.
      def first(layers) = layers.select { _1.is_a?(Trim::Hanger) && _1.fitted == :first }.flat_map { steps(_1) }

      # A hanger fitted last, then the back over it.
      def last(layers) = layers.select { _1.is_a?(Trim::Hanger) && _1.fitted == :last }.flat_map { steps(_1) } + layers.select { _1.class.stage == :hang && !_1.is_a?(Trim::Hanger) }.flat_map { steps(_1) }

      def of(layers, stage) = layers.select { _1.class.stage == stage }.flat_map { steps(_1) }

      # Every step knows which layer it belongs to, and how the hand goes.
      def steps(layer) = layer.steps.map { |step| step.with(layer: layer.id, move: step.move || layer.class.hand) }

      # After how many turns each length of what is wound comes to its end, where one wreath is cut from
      # them and nothing else is.
      def lengths(step, layers, stock, plan)
        layer = layers.find { _1.id == step.layer }
        return step unless step.count && plan.quantity == 1 && layer.respond_to?(:length_per_turn) && layer.respond_to?(:turns) && step.count == layer.turns
        needs = layers.flat_map(&:required).select { _1.run? && _1.material == layer.material.id }
        return step unless needs.one?
        runs = stock.find { _1.material.id == layer.material.id }.bars.flat_map(&:cuts).select(&:run?)
        return step if runs.size < 2
        reached = 0.0
        step.with(changes: runs[0...-1].map { |cut| ((reached += cut.length.to_f - needs[0].join) / layer.length_per_turn).floor }.select { _1.between?(1, step.count - 1) })
      end

      def prepare(form)
        says = {wire: "Tape over cut wire ends.", foam: "Brush off loose crumbs.", board: "Smooth the cut edges.", vine: "Trim stray twigs."}.fetch(form.base)
        Step.new(id: "prepare", title: "Prepare the form", says: [*form.preparing, says].join(" "), minutes: 4 + 4 * form.preparing.size, move: "prepare")
      end

      # One step for all the pieces of all wreaths; runs are cut as they end.
      def cutting(stock)
        pieces = stock.reject { _1.material.counted? }.sum { |cutting| cutting.demand.pieces.sum(&:count) }
        return [] if pieces.zero?
        [Step.new(id: "cut", title: "Cut the pieces", says: "Cut one, use it as the measure for the rest. The cut sheet says from which length each comes.", count: pieces, unit: "pieces", minutes: 2 + pieces / 6.0, move: "cut")]
      end

      def fluff = Step.new(id: "fluff", title: "Look from a distance", says: "Close the gaps that show from across the room, trim the fuzz, open the loops.", minutes: 4, move: "look")

      # The hanger is what is forgotten until last.
      def forgotten(layers)
        return [] if layers.none? { _1.class.stage == :cover } || layers.any?(Trim::Hanger)
        [Plan::Finding.new(level: :note, code: "no_hanger", says: "Nothing to hang it by yet. Fitted before the covering, a hanger is out of sight.", at: "hang")]
      end
    end
  end
end
