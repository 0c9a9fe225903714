# frozen_string_literal: true

module Lantern
  module Cut
    # Which packages to buy so that their lengths come to what is missing, cheapest and fewest first.
    #
    # Of the package that is cheapest for its length there is no end; of all others together fewer are
    # ever needed than it is long in the packages' common measure: so many of them hold some whose
    # lengths add up to a multiple of it, which costs no more in its place.
    class Mixes
      # So many packages of each offer, and what they come to.
      Mix = Value.define(:counts, :price) do
        def packages = counts.sum(&:last)

        # @return [Array<Stock>] package by package, the shortest first
        def opened(problem) = counts.sort_by { |offer, _| [problem.length_of(offer), offer.index] }
          .flat_map { |offer, count| [offer] * count }
      end

      # More mixes of the other packages than this are not listed.
      MOST = 5_000

      def initialize(problem)
        @problem = problem
        @best, *@others = problem.offers.sort_by { [Rational(_1.price, problem.length_of(_1)), -problem.length_of(_1)] }
        @missing = problem.total - problem.remnants.sum { problem.length_of(_1) }
      end

      # The least money that the total length alone demands.
      def least
        return 0 if @missing <= 0 || @best.nil?
        return list.first.price if all?
        # Nobody buys length for less than the best rate.
        step = @problem.offers.map(&:price).reduce { |a, b| a.gcd(b) }
        step.zero? ? 0 : (Rational(@best.price, @problem.length_of(@best)) * @missing / step).ceil * step
      end

      # @return [Array<Mix>]
      def list
        @list ||= begin
          none = (@missing <= 0) ? [Mix.new(counts: [], price: 0)] : []
          none + (@best ? filled : []).sort_by { |mix| [mix.price, mix.packages] }
        end
      end

      private

      def all? = ways <= MOST

      # How many others may be of use at all.
      def limit
        measure = @problem.offers.map { @problem.length_of(_1) }.reduce(:gcd)
        [@problem.length_of(@best) / measure - 1,
          @others.map { @problem.length_of(_1) }.min&.then { [@missing, 1].max / _1 + 1 } || 0].min
      end

      # In how many ways so many can be chosen among the others.
      def ways = (1..@others.size).reduce(1) { |ways, i| ways * (limit + i) / i }

      def filled
        most = limit
        most -= 1 while most > 1 && (1..@others.size).reduce(1) { |ways, i| ways * (most + i) / i } > MOST
        choices(@others, most).flat_map do |chosen|
          missing = [@missing - chosen.sum { |offer, count| @problem.length_of(offer) * count }, 0].max
          enough = (missing.to_r / @problem.length_of(@best)).ceil
          (enough..enough + slack).map { |count| [*chosen, [@best, count]] }
        end.map { |counts| Mix.new(counts:, price: counts.sum { |offer, count| offer.price * count }) }
      end

      def choices(offers, most)
        return [[]] if offers.empty?
        first, *others = offers
        (0..most).flat_map { |count| choices(others, most - count).map { [[first, count], *_1] } }
      end

      # A few more in case the cuts do not fit. First-fit decreasing never opens more than 11/9 of the
      # best, and 6/9 of a length. Source: Dosa (2007).
      def slack
        return 2 if ways > 100
        shortest = @problem.offers.map { @problem.length_of(_1) }.min
        3 + [@problem.total * 2 / (9 * shortest) + (((@problem.items.first || 0) * 2 > shortest) ? @problem.counts.sum :
          0), 60].min
      end
    end
  end
end
