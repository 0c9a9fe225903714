# frozen_string_literal: true

module Lantern
  module Cut
    # Things that are counted, not cut: ties, blooms, packs of paint. What is on hand first, then the
    # packages that come to the least money, and at that the fewest; exact, unless packages are very large.
    module Counts
      # Of more than this many, what goes beyond comes in packages that are cheapest apiece. Nothing is lost by it
      # where the others, of whom fewer are ever needed than that package holds, come to no more.
      MOST = 20_000

      module_function

      # @return [Cutting]
      def cut(material, demand)
        wanted = demand.number
        hand = material.on_hand.each_with_index.sort_by { |count, index| [-count, index] }
        bars = []
        hand.each { |count, index| wanted -= take(bars, demand, :on_hand, index, count, wanted) if wanted.positive? }
        packages = cheapest(material.offers, wanted)
        packages&.each { |index| wanted -= take(bars, demand, :offer, index, material.offers[index][:count], wanted) }
        price = (packages || []).sum { |index| Measure::Price.exact(material.offers[index][:price]) }
        opened = bars.select { _1.source == :on_hand }.map(&:index)
        untouched = material.on_hand.each_with_index.reject { |_, index| opened.include?(index) }.map(&:first)
        Cutting.new(material:, demand:, bars:, bought: (packages || []).tally, bound: price, short: wanted, untouched:,
          optimal: wanted.zero? && exact?(material.offers, demand.number))
      end

      # Takes what it can from one package.
      # @return [Integer] how many
      def take(bars, demand, source, index, count, wanted)
        taken = [count, wanted].min
        cuts = [Bar::Cut.new(what: Measure::Words.list(demand.pieces.map(&:what).uniq),
          one: Measure::Words.list(demand.pieces.map(&:one).uniq), length: 1, count: taken, shape: :pieces)]
        bars << Bar.new(source:, index:, length: count, cuts:, left: count - taken)
        taken
      end

      # The packages that hold at least so many for the least money: the best for every number up to
      # it, one after another.
      # @return [Array<Integer>, nil] offers by their places, the largest packages first
      def cheapest(offers, wanted)
        return [] unless wanted.positive?
        return if offers.empty?
        bulk = bulk(offers, wanted)
        wanted -= bulk.sum { offers[_1][:count] }
        best = [[0r, 0, nil]]
        (1..wanted).each do |number|
          best << offers.each_with_index.map { |offer, index|
            before = best[[number - offer[:count], 0].max]
            [before[0] + offer[:price].to_r, before[1] + 1, index]
          }.min
        end
        chosen = bulk
        while wanted.positive?
          chosen << best[wanted][2]
          wanted -= offers[chosen.last][:count]
        end
        chosen.sort_by { -offers[_1][:count] }
      end

      def bulk(offers, wanted)
        return [] if wanted <= MOST
        index = offers.each_index.min_by { [offers[_1][:price].to_r / offers[_1][:count], -offers[_1][:count]] }
        [index] * ((wanted - MOST) / offers[index][:count])
      end

      # Whether what {MOST} says of others holds here.
      def exact?(offers, wanted)
        wanted <= MOST || offers.map { _1[:count] }.then { |counts| counts.max**2 <= MOST }
      end

      private_class_method :take, :cheapest, :bulk, :exact?
    end
  end
end
