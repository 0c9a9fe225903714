# frozen_string_literal: true

module Lantern
  module Bench
    # What a step of the maker's own uses up: paint, paste, a few inches of cord.
    module UsedUp
      module_function

      # @param step [Plan::OwnStep]
      # @param plan [Plan::Document]
      # @return [Array<Place::Need>] for one wreath
      def by(step, plan)
        step.takes.map do |taken|
          of = plan.material(taken[:material])
          named = {material: of.id, what: :pieces, of: " for “#{step.title}”"}
          next Place::Need.items(**named, count: whole(taken[:count] || 1)) if of.counted?
          Place::Need.pieces(**named, length: Measure::Length.up_to_mark(taken[:length], plan.smallest_mark),
            count: (taken[:count] || 1).ceil, width: (taken[:length] if of.sheets?), own_cut: true)
        end
      end

      def whole(number) = (number == number.floor) ? number.to_i : number

      private_class_method :whole
    end
  end
end
