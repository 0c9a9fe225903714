# frozen_string_literal: true

module Lantern
  module Cut
    # From a solution to bars that can be marked and cut: names back on the pieces, the run laid along
    # what is left, its end in the longest so that what remains is one long remnant.
    class Marking
      # @return [Array<Bar>] only the lengths that are really cut
      def self.bars(problem, solution) = new(problem, solution).bars

      def initialize(problem, solution)
        @problem = problem
        @solution = solution
        @cuts = {}.compare_by_identity
        @waiting = problem.demand.pieces.group_by { (_1.length * Problem::PER_INCH).ceil }
          .transform_values { |pieces| pieces.map { [_1, _1.count] } }
      end

      def bars
        cuts = @solution.yields.map { |yields| pieces(yields) }
        runs = lay_run
        before = last = nil
        @solution.opened.each_with_index.filter_map do |stock, index|
          all = cuts[index] + runs.fetch(index, [])
          next if all.empty?
          # One bar cut as the last one was is the same value.
          next last if last && stock.equal?(before) && same?(all, last.cuts)
          before = stock
          last = Bar.new(source: stock.source, index: stock.index, length: stock.length, cuts: all,
            left: left(stock, all))
        end
      end

      private

      def same?(cuts, others) = cuts.size == others.size && cuts.each_index.all? { cuts[_1].equal?(others[_1]) }

      def left(stock, cuts) = cuts.reduce(stock.length.to_r) { |left, cut| left - cut.length * cut.count }

      def pieces(yields)
        named = []
        yields.each_with_index { |count, index| name(@problem.items[index], count, named) if count.positive? }
        named
      end

      # The next so many pieces of this length, whoever asked for them first.
      def name(length, count, named)
        waiting = @waiting[length]
        while count.positive?
          piece, left = waiting.first
          taken = (left < count) ? left : count
          named << cut(piece, taken)
          count -= taken
          (left == taken) ? waiting.shift : waiting.first[1] = left - taken
        end
      end

      # Thousands of bars are cut alike; what they are cut into is the same value.
      def cut(piece, count)
        known = (@cuts[piece] ||= {})
        known[count] ||= Bar::Cut.new(what: piece.what, one: piece.one, length: piece.length, count:, shape: :pieces,
          asker: piece.asker)
      end

      # One run after another, each ending where it ends, so that it can be handed to whoever asked for it. What
      # is too short to be joined in is passed over while there is enough without it.
      def lay_run = pour(@problem.least) || pour(0)

      # @param least [Integer] the shortest length that a run is given
      # @return [Hash{Integer=>Array<Bar::Cut>}, nil] by bar; nothing when it does not all fit so
      def pour(least)
        rooms = order.map { [_1, left_in(_1)] }.reject { |_, left| @problem.given(left).zero? }
        laid = Hash.new { |all, index| all[index] = [] }
        wanted.each do |run, length|
          joined = 0
          until length <= 0
            rooms.shift while rooms.any? && (rooms[0][1] <= joined || rooms[0][1] < least)
            return (laid if least.zero?) if rooms.empty?
            index, left = rooms.first
            given = part(left, length + joined, least)
            laid[index] << laid_cut(run, given)
            rooms[0][1] -= given
            length -= given - joined
            joined = @problem.join
          end
        end
        laid
      end

      # As much of a bar as a run takes, so that what it still needs then is not too short either.
      def part(left, needed, least)
        return needed if needed <= left
        short = least - (needed - left + @problem.join)
        (short.positive? && left - short >= least) ? left - short : left
      end

      def laid_cut(run, given)
        Bar::Cut.new(what: run.what, length: Rational(given, Problem::PER_INCH), count: 1, shape: :run,
          asker: run.asker)
      end

      # The runs and their lengths in whole nanometres, which together are no more than all of them together.
      def wanted
        reached = 0
        @problem.demand.runs.map do |run|
          before = (reached * Problem::PER_INCH).ceil
          reached += run.length
          [run, (reached * Problem::PER_INCH).ceil - before]
        end
      end

      # Remnants first, then packages; the one with most left comes last.
      def order
        @solution.opened.each_index.sort_by { |i| [@solution.opened[i].limit ? 0 : 1, left_in(i), i] }
      end

      def left_in(index)
        @problem.length_of(@solution.opened[index]) - @problem.items.zip(@solution.yields[index])
          .sum { |item, count| item * count }
      end
    end
  end
end
