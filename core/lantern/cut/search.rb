# frozen_string_literal: true

module Lantern
  module Cut
    # The quick way: buy as little as the total length allows, fill what is on hand and then package
    # after package, and be done when that works, since nobody can buy less than the total. When it
    # does not work at the first try, what it finds is a good start but no proof.
    module Search
      # More mixes of packages than this are not tried.
      MOST_TRIED = 60
      # Nor more when there are so many packages that trying takes long.
      MANY = 150
      # Then only so many prices are tried, one mix of each.
      FEW = 6
      # By how many packages such mixes differ, and a few in which the rest finds its place.
      COMMON_LESS = 25

      module_function

      # @return [Solution, nil] nil when no stock can hold everything
      def solve(problem)
        return if problem.items.any? && problem.items.first > longest(problem)
        return one_kind(problem, problem.offers.first) if problem.offers.one? && problem.remnants.empty?
        mixes = Mixes.new(problem)
        tried(problem, mixes) || problem.offers.filter_map { one_kind(problem, _1) }
          .min_by { [_1.price, _1.opened.size] }&.then { _1.with(proven: _1.price <= mixes.least, bound: mixes.least) }
      end

      # Mix after mix, until one holds everything.
      def tried(problem, mixes)
        least = mixes.least
        few = mixes.list.take_while { _1.packages <= MANY }.first(MOST_TRIED)
        return tried_many(problem, mixes, least) if few.empty?
        few.each do |mix|
          opened = problem.remnants.reverse + mix.opened(problem)
          yields = pack(problem, opened) { |room, wanted| greedy(problem, room, wanted) }
          yields ||= pack(problem, opened) { |room, wanted| problem.fullest.taken(room, wanted) } if filling?(problem)
          return Solution.new(opened:, yields:, proven: mix.price <= least, bound: least) if yields
        end
        nil
      end

      # The same where there are many packages: all mixes are alike but for the last few packages, so what
      # they have in common is filled once.
      def tried_many(problem, mixes, least)
        chosen = mixes.list.uniq(&:price).first(FEW)
        return if chosen.empty? || !filling?(problem)
        best = chosen.first.counts.last.first
        common = [chosen.map { |mix| mix.counts.last.last }.min - COMMON_LESS, 0].max
        first = problem.remnants.reverse + [best] * common
        fill = ->(room, wanted) { problem.fullest.taken(room, wanted) }
        begun = packed(problem, first, Packing.begin(problem), &fill)
        chosen.each do |mix|
          opened = first + mix.opened(problem)
            .then { |all| all.reject { _1.equal?(best) } + [best] * (mix.counts.last.last - common) }
          done = packed(problem, opened, begun.copy, &fill)
          if done.whole?(problem)
            return Solution.new(opened:, yields: done.yields, proven: mix.price <= least, bound: least)
          end
        end
        nil
      end

      def filling?(problem) = problem.run.zero? && !problem.fullest.nil?

      # What is on hand, and then packages of one kind only: as many as it takes, filled in order; where
      # the pieces alone demand fewer, filled again, each as full as can be.
      # @return [Solution, nil] nil when a package of this kind is too short for something
      def one_kind(problem, stock)
        length = problem.length_of(stock)
        if problem.items.any? && problem.items.first > length || problem.run.positive? && !problem.given(length)
            .positive?
          return
        end
        hand = problem.remnants.reverse
        least = hand.any? ? 0 : (problem.total + length - 1) / length
        yields = filled(problem, hand, length) { |room, wanted| greedy(problem, room, wanted) }
        least = [least, Bounds.fewest(problem.items, problem.counts, length)].max if yields.size > least && hand.empty?
        if yields.size > least && problem.run.zero? && problem.fullest
          fuller = filled(problem, hand, length) { |room, wanted| problem.fullest.taken(room, wanted) }
          yields = fuller if fuller.size < yields.size
        end
        Solution.new(opened: (hand + [stock] * [yields.size - hand.size, 0].max).first(yields.size), yields:,
          proven: hand.empty? && yields.size <= least, bound: least * stock.price)
      end

      # Length after length until everything is cut, and what is left holds the run.
      def filled(problem, hand, length)
        packing = Packing.begin(problem)
        until packing.whole?(problem)
          room = hand[packing.yields.size]&.then { problem.length_of(_1) }
          taken = yield(room || length, packing.wanted)
          packing.take(problem, taken, room ? 1 : repeats(taken, packing.wanted), room || length)
        end
        packing.yields
      end

      # Bar after bar, as the block fills it.
      # @param opened [Array<Stock>]
      # @return [Array<Array<Integer>>, nil] how many of each item every bar yields
      def pack(problem, opened, &) =
        packed(problem, opened, Packing.begin(problem), &).then { _1.yields if _1.whole?(problem) }

      def packed(problem, opened, packing)
        while packing.yields.size < opened.size
          place = packing.yields.size
          stock = opened[place]
          taken = yield(problem.length_of(stock), packing.wanted)
          alike = stock.limit ? 1 : [repeats(taken, packing.wanted), opened.size - place].min
          alike = 1 unless opened[place + alike - 1].equal?(stock)
          packing.take(problem, taken, alike, problem.length_of(stock))
        end
        packing
      end

      # How often the same can be cut again; where it is often, only four times in five, so that the last
      # lengths still have something to choose from.
      def repeats(taken, wanted)
        times = wanted.zip(taken).filter_map { |want, count| want / count if count.positive? }.min || 1
        (times > 3) ? times * 4 / 5 : times
      end

      # The longest cut that fits, as often as it fits, then the next.
      def greedy(problem, room, wanted)
        problem.items.each_with_index.map { |item, index| [room / item, wanted[index]].min.tap { room -= _1 * item } }
      end

      def longest(problem) = problem.stock.map { problem.length_of(_1) }.max || 0

      private_class_method :tried, :tried_many, :filling?, :one_kind, :filled, :pack, :packed, :repeats, :greedy,
        :longest
    end
  end
end
