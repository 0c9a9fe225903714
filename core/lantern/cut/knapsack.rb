# frozen_string_literal: true

module Lantern
  module Cut
    # The most valuable way to fill one length: branch and bound over the items, best value for its
    # length first; given up with the best so far when that takes too many steps.
    # Source: Horowitz and Sahni (1974).
    class Knapsack
      MOST_STEPS = 4_000

      # @return [(Float, Array<Integer>, Boolean)] what it is worth, how many of each item, and whether nothing is
      #   worth more
      def self.best(items, values, counts, room) = new(items, values, counts).fill(room)

      def initialize(items, values, counts)
        @order = items.each_index.select { values[_1] > 1e-9 }.sort_by { |i| [-values[i] / items[i], i] }
        @items, @values, @counts = items, values, counts
      end

      def fill(room)
        @worth, @best, @steps = 0.0, [0] * @items.size, 0
        branch(0, room, 0.0, [0] * @items.size)
        [@worth, @best, @steps <= MOST_STEPS]
      end

      private

      def branch(depth, room, worth, taken)
        @worth, @best = worth, taken.dup if worth > @worth + 1e-12
        return if depth == @order.size || (@steps += 1) > MOST_STEPS
        item = @order[depth]
        return if worth + room * @values[item] / @items[item] <= @worth + 1e-12
        [room / @items[item], @counts[item]].min.downto(0) do |count|
          taken[item] = count
          branch(depth + 1, room - count * @items[item], worth + count * @values[item], taken)
        end
        taken[item] = 0
      end
    end
  end
end
