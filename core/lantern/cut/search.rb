# frozen_string_literal: true

module Lantern
  module Cut
    # The quick way: buy as little as the total length allows, fill what is on hand and then package
    # after package with the longest cut that fits, and be done when that works, since nobody can
    # buy less than the total. When it does not work at the first try, what it finds is a good start
    # but no proof.
    module Search
      # More ways to mix packages than this are not listed.
      MOST_MIXES = 20_000

      module_function

      # @return [Solution, nil] nil when no stock can hold everything
      def solve(problem)
        return if problem.items.any? && problem.items.first > longest(problem)
        mixes(problem).each_with_index do |mix, tried|
          opened = problem.remnants.reverse + mix.sort_by { [problem.length_of(_1), _1.index] }
          yields = pack(problem, opened)
          return Solution.new(opened:, yields:, proven: tried.zero?, bound: bound(problem)) if yields
        end
        nil
      end

      # The least money that the total length alone demands.
      def bound(problem) = mixes(problem).first&.sum(&:price) || 0

      # Every mix of packages that, with all remnants, is long enough, cheapest and fewest first.
      def mixes(problem)
        missing = problem.total - problem.remnants.sum { problem.length_of(_1) }
        return [[]] + more(problem, 1) if missing <= 0
        more(problem, missing)
      end

      def more(problem, missing)
        offers = problem.offers.sort_by { [Rational(_1.price, problem.length_of(_1)), -problem.length_of(_1)] }
        return [] if offers.empty?
        offers = offers.first(2) if estimate(problem, offers, missing) > MOST_MIXES
        fill(problem, offers, missing, []).sort_by { |mix| [mix.sum(&:price), mix.size] }
      end

      def estimate(problem, offers, missing) = offers.drop(1).reduce(1) { |ways, offer| ways * (missing.fdiv(problem.length_of(offer)).ceil + 1) }

      # The last kind is filled up to what is missing, and a few more in case the cuts do not fit.
      def fill(problem, offers, missing, taken)
        first, *others = offers
        enough = [(missing.to_r / problem.length_of(first)).ceil, 0].max
        return (enough..enough + slack(problem)).map { taken + [first] * _1 } if others.empty?
        (0..enough + 1).flat_map { |count| fill(problem, others, missing - count * problem.length_of(first), taken + [first] * count) }
      end

      # First-fit decreasing never opens more than 11/9 of the best, and 6/9 of a length.
      # Source: Dosa (2007).
      def slack(problem)
        shortest = problem.offers.map { problem.length_of(_1) }.min
        3 + (problem.total * 2 / (9 * shortest)) + (((problem.items.first || 0) * 2 > shortest) ? problem.counts.sum : 0)
      end

      # Bar after bar, the longest cut that fits, as often as it fits.
      # @return [Array<Array<Integer>>, nil] how many of each item every bar yields
      def pack(problem, opened)
        wanted = problem.counts.dup
        lefts = []
        yields = opened.map do |stock|
          left = problem.length_of(stock)
          taken = problem.items.each_with_index.map do |item, index|
            count = [left / item, wanted[index]].min
            wanted[index] -= count
            left -= count * item
            count
          end
          lefts << left
          taken
        end
        yields if wanted.all?(&:zero?) && problem.run_fits?(lefts)
      end

      def longest(problem) = problem.stock.map { problem.length_of(_1) }.max || 0

      private_class_method :more, :estimate, :fill, :slack, :longest
    end
  end
end
