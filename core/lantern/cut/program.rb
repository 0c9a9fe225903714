# frozen_string_literal: true

require "highs"

module Lantern
  module Cut
    # The integer program over the ways to cut a length, solved by HiGHS with so much work and no more: only the
    # ways that could still better what was found, only so many of them, and only so many branches. So it ends,
    # and ends alike on every machine.
    #
    # What a way costs beyond what it is worth to the linear program (its reduced cost) is what any plan with it
    # must cost beyond the linear program's value; so ways that cost more than there is to gain are left out and
    # nothing is lost. Source: reduced cost fixing, Dantzig, Fulkerson and Johnson (1954).
    class Program
      # Ways in one program, and numbers in all its rows; what a branch takes grows faster than they do.
      COLUMNS = 60..240
      MOST_NUMBERS = 4_000
      MOST_BRANCHES = 60
      # The solver's own tolerance, in money.
      SLACK = 1e-6

      # How often each pattern is cut, and whether nothing could be less.
      Answer = Value.define(:times, :proven)

      # @param relaxed [Hash] as {Patterns.relax} answers
      # @param price [Numeric, nil] what the best plan so far costs, in money; nil when there is none
      def initialize(problem, patterns, relaxed, price: nil)
        @problem, @patterns, @value = problem, patterns, relaxed[:value]
        beyond = relaxed[:beyond]
        gain = price ? price - @value + SLACK : Float::INFINITY
        useful = patterns.each_index.select { beyond[_1] <= gain }.sort_by { [beyond[_1], _1] }
        most = (MOST_NUMBERS / [problem.items.size, 1].max).clamp(COLUMNS)
        @columns = useful.first(most).sort
        @left_out = useful[most] ? beyond[useful[most]] : Float::INFINITY
      end

      # The plan that costs least.
      # @return [Answer, nil] nil when none was found
      def cheapest
        solve(costs = @columns.map { Patterns.price(@patterns[_1]) }) do |times|
          total(times, costs) <= @value + @left_out + SLACK
        end
      end

      # Of the plans that cost no more than a budget, the one that opens fewest packages.
      # @param budget [Integer] in the units of {Stock#price}
      # @return [Answer, nil]
      def fewest(budget)
        solve(@columns.map { Patterns.opened(@patterns[_1]) }, budget:) do
          Measure::Price.float(budget) < @value + @left_out - SLACK
        end
      end

      private

      # @yieldparam times [Array<Integer>] how often each column is cut
      # @yieldreturn whether no pattern that was left out could better it
      def solve(costs, budget: nil)
        return if @columns.empty?
        answer = model(costs, budget).solve
        times = answer[:col_value].map(&:round)
        return unless enough?(times, budget)
        all = [0] * @patterns.size
        @columns.zip(times) { |index, count| all[index] = count }
        Answer.new(times: all, proven: answer[:status] == :optimal && yield(times))
      end

      def model(costs, budget)
        kept = @patterns.values_at(*@columns)
        Highs.mip(sense: :minimize, col_cost: costs, col_lower: [0.0] * kept.size,
          col_upper: kept.map { (_1.stock.limit || @problem.counts.sum + 1000).to_f },
          integrality: [:integer] * kept.size, **Rows.new(@problem, kept, budget:).to_h).tap { |model|
          Highs::FFI.Highs_setDoubleOptionValue(model, +"mip_rel_gap", 0.0)
          Highs::FFI.Highs_setIntOptionValue(model, +"mip_max_nodes", MOST_BRANCHES)
        }
      end

      def total(times, costs) = times.zip(costs).sum { |count, cost| count * cost }

      # Whether patterns cut so often yield everything: what was left before its end is looked at again.
      def enough?(times, budget)
        used = times.zip(@patterns.values_at(*@columns)).reject { |count, _| count.zero? }
        pieces?(used) && run?(used) && in_hand?(used) &&
          (budget.nil? || used.sum { |count, pattern| count * pattern.stock.price } <= budget)
      end

      def pieces?(used) = @problem.items.each_index.all? { |item|
        used.sum { |count, pattern| count * pattern.yields[item] } >= @problem.counts[item]
      }

      def run?(used) = @problem.holds_run?(used.sum { |count, pattern| count * @problem.given(pattern.left) })

      def in_hand?(used) = used.group_by { |_, pattern| pattern.stock }.all? { |stock, same|
        stock.limit.nil? || same.sum(&:first) <= stock.limit
      }
    end
  end
end
