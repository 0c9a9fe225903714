# frozen_string_literal: true

module Lantern
  module Cut
    # From the linear program to a plan that can be cut: every pattern as often as it is wanted whole,
    # and what is then missing as a smaller problem of its own.
    # Source: Gilmore and Gomory (1961); that it nearly always ends at the rounded-up bound, Scheithauer
    # and Terno (1995).
    module Rounding
      # The part of a plan that the linear program is sure of: lengths opened, and what each yields.
      Whole = Value.define(:opened, :yields)

      module_function

      # @param relaxed [Hash] as {Patterns.relax} answers
      # @param bound [Integer] the least money that can be, in the units of {Stock#price}
      # @return [Solution, nil] nil when what is missing does not fit what remains
      def solve(problem, patterns, relaxed, bound:)
        return unless problem.run.zero?
        whole, rest = split(problem, patterns, relaxed)
        ended = rest.items.empty? ? nothing : Search.solve(rest)
        ended && join(problem, whole, rest, ended, bound:)
      end

      # @return [(Whole, Problem)] what is cut for sure, and what is still to be cut from what is still there
      def split(problem, patterns, relaxed)
        wanted, opened, yields = problem.counts.dup, [], []
        relaxed[:times].zip(patterns) do |times, pattern|
          # As often as it is wanted whole; cutting more than is asked never helps.
          often = pattern.yields.each_with_index.filter_map { |count, item| wanted[item] / count if count.positive? }
            .min || 0
          count = [(times + 1e-7).floor, often].min
          pattern.yields.each_with_index { |each, item| wanted[item] -= each * count }
          opened.concat([pattern.stock] * count)
          yields.concat([pattern.yields] * count)
        end
        [Whole.new(opened:, yields:), remaining(problem, wanted, opened)]
      end

      # The two parts as one plan.
      def join(problem, whole, rest, ended, bound:)
        places = problem.items.map { rest.items.index(_1) }
        more = ended.yields.map { |each| places.map { |place| place ? each[place] : 0 } }
        Solution.new(opened: whole.opened + ended.opened, yields: whole.yields + more, proven: false, bound:)
      end

      def remaining(problem, wanted, opened)
        pieces = problem.items.each_with_index.filter_map do |item, i|
          if wanted[i].positive?
            Demand::Piece.new(layer: "", what: "", length: Rational(item, Problem::PER_INCH), count: wanted[i])
          end
        end
        used = opened.select(&:limit)
        Problem.new(stock: problem.stock.reject { used.include?(_1) }, demand: problem.demand.with(pieces:))
      end

      def nothing = Solution.new(opened: [], yields: [], proven: true, bound: 0)

      private_class_method :remaining, :nothing
    end
  end
end
