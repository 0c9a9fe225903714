# frozen_string_literal: true

module Lantern
  module Cut
    # Lengths from rolls, packages and remnants: the cutting-stock problem with runs that may be
    # joined. Least money first, then fewest packages; what is on hand before a new package, and
    # what is left in one long remnant.
    # Source of the problem: Gilmore and Gomory, "A linear programming approach to the
    # cutting-stock problem" (1961).
    module Rolls
      MANY = 5_000
      NEAR = 1.0005

      module_function

      # @return [Cutting]
      def cut(material, demand)
        stock = Stock.of(material)
        return nothing(material, demand) if demand.none?
        problem = Problem.new(stock:, demand:)
        solution = Search.solve(problem)
        solution = Patterns.improve(problem, solution) unless solution&.proven || close?(problem, solution)
        solution ||= Shortage.solve(problem)
        written(material, demand, problem, solution)
      end

      # So many pieces, and so near to what nobody can go below, that no program would be worth its time.
      def close?(problem, solution) = solution && problem.counts.sum > MANY && solution.price <= solution.bound * NEAR

      def nothing(material, demand)
        Cutting.new(material:, demand:, bars: [], bought: {}, optimal: true, bound: 0, short: 0,
          untouched: material.on_hand)
      end

      def written(material, demand, problem, solution)
        bars = Marking.bars(problem, solution)
        # Stock is told apart by what it is, not by its looks: thousands of lengths may be opened.
        opened = solution.opened.each_with_object({}.compare_by_identity) { |stock, times|
          times[stock] = times.fetch(
            stock, 0
          ) + 1
        }
        cut = bars.each_with_object(
          Hash.new(0)
        ) { |bar, times| times[(bar.source == :offer) ? bar.index : ~bar.index] += 1 }
        bought = opened.select { |stock, _| stock.source == :offer }.to_h { |stock, times| [stock.index, times] }
        untouched = opened.flat_map { |stock, times|
          [stock.length] *
            (times - cut[(stock.source == :offer) ? stock.index : ~stock.index])
        }
        kept = problem.stock.select { _1.source == :on_hand && !opened.key?(_1) }.map(&:length)
        Cutting.new(material:, demand:, bars:, bought:, optimal: solution.proven, bound: solution.bound,
          short: solution.short, untouched: untouched + kept)
      end

      private_class_method :close?, :nothing, :written
    end
  end
end
