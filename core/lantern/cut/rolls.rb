# frozen_string_literal: true

module Lantern
  module Cut
    # Lengths from rolls, packages and remnants: the cutting-stock problem with runs that may be
    # joined. Least money first, then fewest packages; what is on hand before a new package, and
    # what is left in one long remnant.
    # Source of the problem: Gilmore and Gomory, "A linear programming approach to the
    # cutting-stock problem" (1961).
    module Rolls
      module_function

      # @return [Cutting]
      def cut(material, demand, plan)
        stock = Stock.of(material)
        return nothing(material, demand) if demand.none?
        problem = Problem.new(stock:, demand:)
        solution = Search.solve(problem)
        solution = Patterns.improve(problem, solution) unless solution&.proven
        solution ||= Shortage.solve(problem)
        written(material, demand, problem, solution)
      end

      def nothing(material, demand)
        Cutting.new(material:, demand:, bars: [], bought: {}, optimal: true, bound: 0, short: 0, untouched: material.on_hand)
      end

      def written(material, demand, problem, solution)
        bars = Marking.bars(problem, solution)
        bought = solution.opened.select { _1.source == :offer }.map(&:index).tally
        opened = bars.map { [_1.source, _1.index] }.tally
        untouched = solution.opened.uniq.flat_map { |stock| [stock.length] * (solution.opened.count(stock) - opened.fetch([stock.source, stock.index], 0)) }
        kept = problem.stock.select { _1.source == :on_hand && !solution.opened.include?(_1) }.map(&:length)
        Cutting.new(material:, demand:, bars:, bought:, optimal: solution.proven, bound: solution.bound, short: solution.short, untouched: untouched + kept)
      end

      private_class_method :nothing, :written
    end
  end
end
