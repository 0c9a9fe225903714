# frozen_string_literal: true

module Lantern
  module Cut
    # The fullest that a length can be cut: which sums of the pieces are possible, as the bits of one
    # large number, shifted by a piece for every one that may be added.
    # Source: Bellman's recursion for the subset sum (1957).
    class Fullest
      # A measure finer than this share of a length makes numbers too large.
      MOST_MARKS = 40_000

      # @return [Fullest, nil] nil when the lengths have no coarse enough measure in common
      def self.of(items, length)
        measure = [length, *items].reduce(:gcd)
        new(items, measure) if length / measure <= MOST_MARKS
      end

      attr_reader :measure

      # @param measure [Integer] what all lengths are multiples of
      def initialize(items, measure)
        @items = items
        @marks = items.map { _1 / measure }
        @measure = measure
      end

      # One of the longest that is still wanted and fits, and with it whatever leaves least; of those,
      # what uses the longest.
      # @return [Array<Integer>] how many of each item
      def taken(room, wanted)
        first = @items.each_index.find { wanted[_1].positive? && @items[_1] <= room }
        return wanted.map { 0 } unless first
        room = room / @measure - @marks[first]
        others = wanted.each_with_index.map { |count, item|
          [count - ((item == first) ? 1 : 0), room / @marks[item]]
            .min
        }
        taken = trace(others, *reachable(others, room))
        taken.tap { _1[first] += 1 }
      end

      private

      # @return [(Array<Integer>, Integer)] the sums possible before each item, the shortest first, and the largest of
      #   all
      def reachable(wanted, room)
        mask, sums, before = (1 << (room + 1)) - 1, 1, []
        @marks.each_index.reverse_each do |item|
          before << sums
          # One, two, four of them and so on: every number up to what is wanted is a sum of these.
          left, some = wanted[item], 1
          while left.positive?
            some = [some, left].min
            sums |= (sums << @marks[item] * some) & mask
            left -= some
            some *= 2
          end
        end
        [before, sums.bit_length - 1]
      end

      def trace(wanted, before, sum)
        @marks.each_index.map do |item|
          next 0 if sum.zero? || wanted[item].zero?
          sums = before[@marks.size - 1 - item]
          count = wanted[item].downto(0).find { |often|
            sum >= often * @marks[item] &&
              sums[sum - often * @marks[item]] == 1
          }
          sum -= count * @marks[item]
          count
        end
      end
    end
  end
end
