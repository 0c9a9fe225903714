# frozen_string_literal: true

module Lantern
  module Cut
    # What can still be cut when nothing on hand or on offer holds everything: the pieces that are
    # too long for any length are left out, and where nothing is for sale, what is on hand is filled
    # as far as it goes.
    module Shortage
      module_function

      # @return [Solution] with `short` saying how much is missing
      def solve(problem)
        longest = problem.stock.map { problem.length_of(_1) }.max || 0
        kept, long = problem.demand.pieces.partition { (_1.length * Problem::PER_INCH).ceil <= longest }
        missing = long.sum { _1.length * _1.count }
        fitting = problem.with_demand(problem.demand.with(pieces: kept))
        found = (Search.solve(fitting) if long.any?) || as_far_as_it_goes(fitting)
        yields = found.yields.map { |each|
          problem.items.map { |item|
            each[fitting.items.index(item) || each.size] ||
              0
          }
        }
        found.with(yields:, proven: false, short: found.short + missing)
      end

      def as_far_as_it_goes(problem)
        wanted = problem.counts.dup
        opened = problem.remnants.reverse
        lefts = []
        yields = opened.map do |stock|
          left = problem.length_of(stock)
          lefts << left
          problem.items.each_with_index.map do |item, i|
            count = [left / item, wanted[i]].min
            wanted[i] -= count
            left -= count * item
            lefts[-1] = left
            count
          end
        end
        short = problem.items.zip(wanted).sum { |item, count| item * count } +
          [run_without_allowance(problem) - lefts.sum { problem.given(_1) } - problem.join, 0].max
        Solution.new(opened:, yields:, proven: false, bound: 0, short: Rational(short, Problem::PER_INCH))
      end

      def run_without_allowance(problem) = (problem.demand.run * Problem::PER_INCH).ceil

      private_class_method :as_far_as_it_goes, :run_without_allowance
    end
  end
end
