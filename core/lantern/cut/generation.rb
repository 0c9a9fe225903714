# frozen_string_literal: true

module Lantern
  module Cut
    # Column generation for problems with too many patterns to list: the linear program over a few
    # patterns prices the items, and a knapsack looks for a pattern that is worth more than it costs.
    # Source: Gilmore and Gomory (1961).
    module Generation
      module_function

      # @param start [Solution] something to begin with
      # @return [(Array<Patterns::Pattern>, Float)] the patterns made, and the value of the linear program, which no plan can go below
      def columns(problem, start)
        patterns = start.opened.zip(start.yields).map { |stock, yields| pattern(problem, stock, yields) }.uniq
        value = 0.0
        Patterns::MOST_ROUNDS.times do
          answer = Patterns.relax(problem, patterns)
          value, duals = answer.values_at(:value, :worth)
          fresh = problem.stock.each_with_index.filter_map { |stock, _| worthwhile(problem, stock, duals, patterns) }
          return [patterns, value] if fresh.empty?
          patterns += fresh
        end
        [patterns, 0.0]
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

      private_class_method :pattern, :worthwhile
    end
  end
end
