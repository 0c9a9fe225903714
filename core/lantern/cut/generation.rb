# frozen_string_literal: true

module Lantern
  module Cut
    # Column generation for problems with too many patterns to list: the linear program over a few
    # patterns prices the items, and a knapsack looks for a pattern that is worth more than it costs.
    # What it takes hardly depends on how many pieces there are, only on how many lengths.
    # Source: Gilmore and Gomory (1961).
    module Generation
      # Enough to prove the small remainder, and the same on every machine.
      MOST_NODES = 200

      module_function

      # @param start [Solution, nil] something to beat
      # @return [Solution, nil] with its bound
      def solve(problem, start)
        patterns, relaxed = columns(problem, start)
        bound = relaxed ? Patterns.round_up(problem, relaxed[:value]) : 0
        found = [start, *(rounded(problem, patterns, relaxed, bound) if relaxed)]
          .compact.min_by { [_1.price, _1.opened.size] }
        found&.with(proven: found.price <= bound && problem.remnants.empty? && problem.offers.size == 1,
          bound: [bound, found.price].min)
      end

      # @return [(Array<Patterns::Pattern>, Hash)] the patterns made, and the linear program over them, which
      #   no plan can go below; nil when it was left before the end
      def columns(problem, start)
        patterns = beginning(problem, start)
        Patterns::MOST_ROUNDS.times do
          relaxed = Patterns.relax(problem, patterns) or return [patterns, nil]
          fresh = problem.stock.filter_map { |stock| worthwhile(problem, stock, relaxed[:worth], patterns) }
          return [patterns, relaxed] if fresh.empty?
          patterns += fresh
        end
        [patterns, nil]
      end

      # Every kind of stock full of one item, and whatever the start is made of.
      def beginning(problem, start)
        full = problem.stock.product(problem.items.each_index.to_a).filter_map do |stock, item|
          count = [problem.length_of(stock) / problem.items[item], problem.counts[item]].min
          pattern(problem, stock, Array.new(problem.items.size) { (_1 == item) ? count : 0 }) if count.positive?
        end
        (full + (start ? start.opened.zip(start.yields).uniq.map { pattern(problem, _1, _2) } : [])).uniq
      end

      def pattern(problem, stock, yields)
        left = problem.length_of(stock) - problem.items.zip(yields).sum { |item, count| item * count }
        Patterns::Pattern.new(stock:, yields:, left:)
      end

      # A pattern for this stock that the prices of the items make worth more than it costs.
      def worthwhile(problem, stock, duals, patterns)
        values = duals.first(problem.items.size)
        limited = problem.stock.select(&:limit).index(stock)
        cost = stock.price / 10_000.0 - (limited ? duals[problem.items.size + limited] : 0)
        worth, yields = Knapsack.best(problem.items, values, problem.counts, problem.length_of(stock))
        return if worth <= cost + 1e-7
        fresh = pattern(problem, stock, yields)
        fresh unless patterns.include?(fresh)
      end

      # Every pattern as often as it is wanted whole; what is then missing is small, and solved over the
      # patterns that the program made, or packed as the search packs.
      def rounded(problem, patterns, relaxed, bound)
        whole, rest = Rounding.split(problem, patterns, relaxed)
        ends = [Search.solve(rest), by_program(rest, problem, patterns)].compact
        ends.map { Rounding.join(problem, whole, rest, _1, bound:) }
      end

      def by_program(rest, problem, patterns)
        places = rest.items.map { problem.items.index(_1) }
        shorter = patterns.filter_map { |each|
          if rest.stock.include?(each.stock)
            pattern(rest, each.stock,
              places.map { |i| each.yields[i] })
          end
        }.uniq
        times = Patterns.solve(rest, shorter, shorter.map { Patterns.price(_1) }, nodes: MOST_NODES)
        Patterns.solution(rest, times, shorter, proven: false, bound: 0) if times
      end

      private_class_method :beginning, :pattern, :worthwhile, :rounded, :by_program
    end
  end
end
