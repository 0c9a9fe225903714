# frozen_string_literal: true

module Lantern
  # The work itself: steps in their order, and what to be careful of.
  module Bench
    # Steps, cautions and the time they take, in minutes for all wreaths of the plan.
    Work = Value.define(:steps, :cautions, :minutes)

    class << self
      # @return [Work]
      def work(plan, form, layers, stock)
        cut = cutting(stock)
        each = [prepare(form), *layers.flat_map(&:steps), fluff]
        Work.new(steps: [each.first, *cut, *each.drop(1)], cautions: Cautions.for(form, layers), minutes: each.sum(&:minutes) * plan.quantity + cut.sum(&:minutes))
      end

      private

      def prepare(form)
        says = {wire: "Tape over cut wire ends. Tie the hanger to the outer rail, at the back.", foam: "Brush off loose crumbs. Fit the hanger now, while it can still be hidden.",
                board: "Smooth the cut edges. Fit the hanger now.", vine: "Trim stray twigs. Fit the hanger now."}.fetch(form.base)
        Step.new(id: "prepare", title: "Prepare the form", says: [*form.preparing, says].join(" "), minutes: 4 + 4 * form.preparing.size)
      end

      # One step for all the pieces of all wreaths; runs are cut as they end.
      def cutting(stock)
        pieces = stock.reject { _1.material.counted? }.sum { |cutting| cutting.demand.pieces.sum(&:count) }
        return [] if pieces.zero?
        [Step.new(id: "cut", title: "Cut the pieces", says: "Cut one, use it as the measure for the rest.", count: pieces, unit: "pieces", minutes: 2 + pieces / 6.0)]
      end

      def fluff = Step.new(id: "fluff", title: "Look from a distance", says: "Close the gaps that show from across the room, trim the fuzz, write down what it took.", minutes: 4)
    end
  end
end
