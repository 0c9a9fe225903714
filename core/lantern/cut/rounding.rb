# frozen_string_literal: true

module Lantern
  module Cut
    # From the linear program to a plan that can be cut: every pattern as often as it is wanted whole,
    # and what is then missing packed as the search packs.
    # Source: Gilmore and Gomory (1961); that it nearly always ends at the rounded-up bound, Scheithauer
    # and Terno (1995).
    module Rounding
      module_function

      # @param relaxed [Hash] as {Patterns.relax} answers
      # @param bound [Integer] the least money that can be, in the units of {Stock#price}
      # @return [Solution, nil] nil when what is missing does not fit what remains
      def solve(problem, patterns, relaxed, bound:)
        times = relaxed[:times].map { (_1 + 1e-7).floor }
        whole = times.zip(patterns).flat_map { |count, pattern| [pattern] * count }
        wanted = problem.counts.dup
        yields = whole.map { |pattern| pattern.yields.each_with_index.map { |count, item| [count, wanted[item]].min.tap { wanted[item] -= _1 } } }
        rest = Search.solve(remaining(problem, wanted, whole))
        return unless rest || wanted.all?(&:zero?)
        return unless problem.run.zero?
        more = rest ? widened(problem, rest, wanted) : []
        Solution.new(opened: whole.map(&:stock) + (rest ? rest.opened : []), yields: yields + more, proven: false, bound:)
      end

      # What is still to be cut, from what is still there.
      def remaining(problem, wanted, whole)
        pieces = problem.items.each_with_index.filter_map do |item, i|
          Demand::Piece.new(layer: "", what: "", length: Rational(item, Problem::PER_INCH), width: nil, count: wanted[i]) if wanted[i].positive?
        end
        used = whole.map(&:stock)
        Problem.new(stock: problem.stock.reject { _1.limit && used.include?(_1) }, demand: problem.demand.with(pieces:))
      end

      # The smaller problem's yields, with the items it did not know as nothing.
      def widened(problem, rest, wanted)
        places = wanted.each_index.select { wanted[_1].positive? }
        rest.yields.map { |each| Array.new(problem.items.size) { |item| places.index(item) ? each[places.index(item)] : 0 } }
      end

      private_class_method :remaining, :widened
    end
  end
end
