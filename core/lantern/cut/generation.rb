# frozen_string_literal: true

module Lantern
  module Cut
    # Column generation for problems with too many patterns to list: the linear program over a few
    # patterns prices the items, and a knapsack looks for a pattern that is worth more than it costs.
    # What it takes hardly depends on how many pieces there are, only on how many lengths.
    # Source: Gilmore and Gomory (1961).
    module Generation
      # As often the linear program is asked anew, and no oftener; and with so many patterns at most.
      MOST_ROUNDS = 100
      MOST_PATTERNS = 1200

      module_function

      # @param start [Solution, nil] something to beat
      # @return [Solution, nil] with its bound
      def solve(problem, start)
        patterns, relaxed, whole = columns(problem, start)
        bound = [start ? start.bound : 0, whole ? Patterns.round_up(problem, relaxed[:value]) : 0].max
        found = [start, *(rounded(problem, patterns, relaxed, bound) if relaxed)]
          .compact.min_by { [_1.price, _1.opened.size] }
        found&.with(proven: found.price <= bound && problem.remnants.empty? && problem.offers.size == 1,
          bound: [bound, found.price].min)
      end

      # @return [(Array<Patterns::Pattern>, Hash, Boolean)] the patterns made, the linear program over them, and
      #   whether no plan can go below that; not when it was left before the end
      def columns(problem, start)
        patterns = beginning(problem, start).first(MOST_PATTERNS)
        MOST_ROUNDS.times do
          relaxed = Patterns.relax(problem, patterns) or return [patterns, nil, false]
          filled = problem.stock.map { |stock| filled(problem, stock, relaxed[:worth]) }
          fresh = filled.filter_map(&:first) - patterns
          return [patterns, relaxed, filled.all?(&:last)] if fresh.empty? || patterns.size + fresh.size > MOST_PATTERNS
          patterns += fresh
        end
        [patterns, Patterns.relax(problem, patterns), false]
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

      # A pattern for this stock that the prices of the items make worth more than it costs, if there is one, and
      # whether it was looked for to the end.
      def filled(problem, stock, duals)
        values = duals.first(problem.items.size)
        limited = problem.stock.select(&:limit).index(stock)
        cost = Measure::Price.float(stock.price) - (limited ? duals[problem.items.size + limited] : 0)
        worth, yields, whole = Knapsack.best(problem.items, values, problem.counts, problem.length_of(stock))
        [(pattern(problem, stock, yields) if worth > cost + 1e-7), whole]
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
        relaxed = Patterns.relax(rest, shorter) unless shorter.empty?
        found = Program.new(rest, shorter, relaxed).cheapest if relaxed
        Patterns.solution(rest, found.times, shorter, proven: false, bound: 0) if found
      end

      private_class_method :beginning, :pattern, :filled, :rounded, :by_program
    end
  end
end
