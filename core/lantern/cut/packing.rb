# frozen_string_literal: true

module Lantern
  module Cut
    # Lengths as they are filled one after another: what is still wanted, what every one yields and what is
    # left of it. It changes as it goes and never leaves {Search}.
    class Packing
      attr_reader :wanted, :lefts, :yields

      def self.begin(problem) = new(problem.counts.dup, [], [])

      def initialize(wanted, lefts, yields)
        @wanted, @lefts, @yields = wanted, lefts, yields
      end

      def copy = Packing.new(wanted.dup, lefts.dup, yields.dup)

      # So many lengths alike.
      def take(problem, taken, alike, room)
        taken.each_with_index { |count, item| wanted[item] -= count * alike }
        lefts.concat([room - problem.items.zip(taken).sum { |item, count| item * count }] * alike)
        yields.concat([taken] * alike)
      end

      # Whether everything is cut, and what is left holds the run.
      def whole?(problem) = wanted.all?(&:zero?) && problem.run_fits?(lefts)
    end
  end
end
