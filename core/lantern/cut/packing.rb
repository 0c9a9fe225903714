# frozen_string_literal: true

module Lantern
  module Cut
    # Lengths as they are filled one after another: what is still wanted, what every one yields and what they
    # give to a run between them. It changes as it goes and never leaves {Search}.
    class Packing
      attr_reader :wanted, :yields

      def self.begin(problem) = new(problem.counts.dup, [], 0)

      def initialize(wanted, yields, given)
        @wanted, @yields, @given = wanted, yields, given
      end

      def copy = Packing.new(wanted.dup, yields.dup, @given)

      # So many lengths alike.
      def take(problem, taken, alike, room)
        taken.each_with_index { |count, item| wanted[item] -= count * alike }
        left = room - problem.items.zip(taken).sum { |item, count| item * count }
        @given += problem.given(left) * alike
        yields.concat([taken] * alike)
      end

      # Whether everything is cut, and what is left holds the run.
      def whole?(problem) = wanted.all?(&:zero?) && problem.holds_run?(@given)
    end
  end
end
