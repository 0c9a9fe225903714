# frozen_string_literal: true

require "highs"

module Lantern
  module Cut
    # The exact way: a linear program over the ways to cut one length, rounded, and where that does not reach its
    # bound, an integer program ({Program}). Where there are too many ways to list them all, only those are made
    # that the linear program asks for ({Generation}), which still gives a bound.
    # Source: Gilmore and Gomory (1961, 1963).
    module Patterns
      # One way to cut one kind of stock.
      Pattern = Value.define(:stock, :yields, :left)

      MOST_PATTERNS = 3000
      # Nor are more steps taken to list them: most ways that are begun may turn out not to be full.
      MOST_STEPS = 60_000

      module_function

      # @param start [Solution, nil] what the search found
      # @return [Solution, nil] proven or with its bound; nil when nothing can hold everything
      def improve(problem, start)
        if problem.stock.empty? || (problem.items.any? && start.nil? && problem.offers.empty? && !plausible?(problem))
          return start
        end
        patterns = list(problem)
        return by_generation(problem, start) unless patterns
        return start if patterns.empty?
        relaxed = relax(problem, patterns) or return start
        bound = [round_up(problem, relaxed[:value]), start ? start.bound : 0].max
        return start.with(proven: true, bound:) if start && start.price <= bound && fewest_when_cheapest?(problem)
        rounded = Rounding.solve(problem, patterns, relaxed, bound:)
        good = [start, rounded].compact.min_by { [_1.price, _1.opened.size] }
        if good && good.price <= bound && fewest_when_cheapest?(problem)
          return good.with(proven: true, bound: good.price)
        end
        by_program(problem, patterns, relaxed, good, bound)
      end

      # @param good [Solution, nil] something to better
      def by_program(problem, patterns, relaxed, good, bound)
        program = Program.new(problem, patterns, relaxed, price: good && Measure::Price.float(good.price))
        least = program.cheapest
        return good&.with(proven: false, bound:) unless least
        price = total(least.times, patterns)
        fewest = problem.offers.size > 1 && program.fewest(price)
        proven = (least.proven || price <= bound) && (fewest ? fewest.proven : fewest_when_cheapest?(problem))
        found = solution(problem, (fewest || least).times, patterns, proven:, bound: proven ? price : bound)
        (good && (found.price <=> good.price).nonzero?&.positive?) ? good.with(proven: false, bound:) : found
      end

      # With one kind of package, the least money is the fewest packages too.
      def fewest_when_cheapest?(problem) = problem.offers.size < 2

      # The linear program over the patterns: what no plan can go below, and how often each is cut in it.
      # @return [Hash, nil] `value` in money, `times`, the worth of each row, and what each pattern costs beyond
      #   its worth
      def relax(problem, patterns)
        model = Highs.lp(sense: :minimize, col_cost: patterns.map { price(_1) }, col_lower: [0.0] * patterns.size,
          col_upper: [Float::INFINITY] * patterns.size, **Rows.new(problem, patterns).to_h)
        # So small a program is solved sooner than it is simplified.
        Highs::FFI.Highs_setStringOptionValue(model, +"presolve", +"off")
        answer = model.solve
        return unless answer[:status] == :optimal
        {value: answer[:obj_value], times: answer[:col_value], worth: answer[:row_dual], beyond: answer[:col_dual]}
      end

      def plausible?(problem) = problem.remnants.sum { problem.length_of(_1) } >= problem.total

      # Every way to cut every kind of stock; only the full ones when nothing but pieces is wanted,
      # since a run takes what is left. Nil when there are too many.
      def list(problem)
        found, @steps = [], 0
        complete = problem.stock.all? { |stock| extend_pattern(problem, stock, 0, problem.length_of(stock), [], found) }
        found if complete
      end

      def extend_pattern(problem, stock, index, left, taken, found)
        return false if (@steps += 1) > MOST_STEPS
        if index == problem.items.size
          full = problem.run.zero? &&
            problem.items.each_with_index.any? { |item, i| left >= item && taken[i] < problem.counts[i] }
          found << Pattern.new(stock:, yields: taken, left:) unless full
          return found.size <= MOST_PATTERNS
        end
        most = [left / problem.items[index], problem.counts[index]].min
        most.downto(0) do |count|
          unless extend_pattern(problem, stock, index + 1, left - count * problem.items[index], taken + [count], found)
            return false
          end
        end
        true
      end

      def price(pattern) = Measure::Price.float(pattern.stock.price)

      # What is on hand is open already.
      def opened(pattern) = pattern.stock.limit ? 0.0 : 1.0

      def total(times, patterns) = times.zip(patterns).sum { |count, pattern| count * pattern.stock.price }

      def solution(problem, times, patterns, proven:, bound:)
        used = times.zip(patterns).flat_map { |count, pattern| [pattern] * count }
          .sort_by { |pattern| [pattern.stock.limit ? 0 : 1, pattern.left, pattern.stock.index] }
        Solution.new(opened: used.map(&:stock), yields: trimmed(used.map(&:yields), problem.counts), proven:, bound:)
      end

      # The program may cut more than was asked; nobody does.
      def trimmed(yields, counts)
        left = counts.dup
        yields.map { |each|
          each.each_with_index.map { |count, item|
            [count, left[item]]
              .min.tap { left[item] -= _1 }
          }
        }
      end

      def by_generation(problem, start)
        return start if start.nil? || problem.run.positive?
        Generation.solve(problem, start)
      end

      # No sum of prices lies strictly between two multiples of what they have in common.
      def round_up(problem, value)
        step = problem.stock.map(&:price).reduce(0) { |a, b| a.gcd(b) }
        Measure::Price.at_least(value, step)
      end

      private_class_method :fewest_when_cheapest?, :plausible?, :list, :extend_pattern, :total, :trimmed,
        :by_generation, :by_program
    end
  end
end
