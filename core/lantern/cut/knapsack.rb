# frozen_string_literal: true

module Lantern
  module Cut
    # The most valuable way to fill one length: branch and bound over the items, best value for its
    # length first.
    # Source: Horowitz and Sahni (1974).
    class Knapsack
      # @return [(Float, Array<Integer>)] what it is worth, and how many of each item
      def self.best(items, values, counts, room) = new(items, values, counts).fill(room)

      def initialize(items, values, counts)
        @order = items.each_index.select { values[_1] > 1e-9 }.sort_by { |i| [-values[i] / items[i], i] }
        @items, @values, @counts = items, values, counts
      end

      def fill(room)
        @worth, @best = 0.0, [0] * @items.size
        branch(0, room, 0.0, [0] * @items.size)
        [@worth, @best]
      end

      private

      def branch(depth, room, worth, taken)
        @worth, @best = worth, taken.dup if worth > @worth + 1e-12
        return if depth == @order.size
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
