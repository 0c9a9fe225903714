# frozen_string_literal: true

module Lantern
  module Cut
    # The rows of the cutting program: every item often enough, the run long enough, no remnant
    # opened twice, and no more money than the budget, if there is one.
    class Rows
      # Slack against the solver's tolerance, in inches of run.
      SAFE = 1e-4

      def initialize(problem, patterns, budget: nil)
        @rows = problem.items.each_index.map { |i|
          [problem.counts[i].to_f, Float::INFINITY,
            patterns.map { _1.yields[i] }]
        }
        @rows << run_row(problem, patterns) if problem.run.positive?
        problem.stock.select(&:limit)
          .each { |stock| @rows << [0.0, stock.limit.to_f, patterns.map { (_1.stock == stock) ? 1 : 0 }] }
        price = Measure::Price.method(:float)
        @rows << [0.0, price[budget] + 1e-6, patterns.map { price[_1.stock.price] }] if budget
      end

      # @return [Hash] as HiGHS wants it, row by row
      def to_h
        starts, index, value = [], [], []
        @rows.each do |_, _, row|
          starts << index.size
          row.each_with_index do |number, column|
            next if number.zero?
            index << column
            value << number.to_f
          end
        end
        {row_lower: @rows.map { _1[0] }, row_upper: @rows.map { _1[1] }, a_format: :rowwise, a_start: starts,
         a_index: index, a_value: value}
      end

      private

      def run_row(problem, patterns)
        inches = ->(length) { length / Problem::PER_INCH.to_f }
        [inches.call(problem.run - problem.join) + SAFE, Float::INFINITY,
          patterns.map { inches.call(problem.given(_1.left)) }]
      end
    end
  end
end
