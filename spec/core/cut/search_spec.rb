# frozen_string_literal: true

require_relative "../../support/rivals"

RSpec.describe Lantern::Cut::Mixes do
  def problem(total, offers)
    stock = offers.each_with_index.map { |(length, price), index|
      Lantern::Cut::Stock.new(source: :offer, index:,
        length: length.to_r, price: price * 10_000, limit: nil)
    }
    piece = Lantern::Cut::Demand::Piece.new(layer: "", what: "", length: 1r, width: nil, count: total)
    Lantern::Cut::Problem.new(stock:, demand: Lantern::Cut::Demand.new(pieces: [piece], runs: [], join: 1,
      least: 0, spread: 0.0, allowance: 0.0))
  end

  # The least money for so much length, one package after another: the oldest dynamic program.
  def brute(total, offers)
    (1..total).each_with_object(
      [0]
    ) { |length, best| best << offers.map { |size, price| best[[length - size, 0].max] + price }.min }.last
  end

  it "comes to the least money that any mix of packages comes to" do
    each_random(60) do |random|
      offers = Array.new(random.rand(1..3)) { [random.rand(2..20) * 6, random.rand(1..40)] }.uniq(&:first)
      total = random.rand(1..2000)
      mixes = described_class.new(problem(total, offers))
      expect(mixes.least).to eq brute(total, offers) * 10_000
      expect(mixes.list.map(&:price)).to eq mixes.list.map(&:price).sort
      expect(mixes.list).to all(satisfy { |mix| mix.counts.sum { |offer, count| offer.length * count } >= total })
    end
  end

  it "never claims more than must be paid where there are too many mixes to list" do
    offers = [[101, 7], [97, 6], [89, 5], [83, 5], [79, 4]]
    expect(described_class.new(problem(9000, offers)).least).to be <= brute(9000, offers) * 10_000
    expect(described_class.new(problem(9000, offers)).least).to be >= brute(9000, offers) * 9_900
  end
end

RSpec.describe Lantern::Cut::Bounds do
  it "never says more lengths than brute force needs, nor fewer than the total" do
    tight = 0
    each_random(150) do |random|
      pieces = Array.new(random.rand(3..8)) { random.rand(8..60) }
      sizes = pieces.tally.sort.reverse
      bound = described_class.fewest(sizes.map(&:first), sizes.map(&:last), 108)
      fewest = Rivals.fewest_bins(pieces, 108)
      expect(bound).to be_between((pieces.sum / 108.0).ceil, fewest)
      tight += 1 if bound == fewest
    end
    expect(tight).to be > 140
  end

  # Every piece longer than half a length takes one of its own.
  it "counts the halves" do
    expect(described_class.fewest([55], [7], 108)).to eq 7
    expect(described_class.fewest([36], [7], 108)).to eq 3
    expect(described_class.fewest([37], [7], 108)).to eq 4
  end
end

RSpec.describe Lantern::Cut::Fullest do
  def brute(items, wanted, room, index = 0)
    return 0 if index == items.size
    (0..[wanted[index], room / items[index]].min)
      .map { |count| count * items[index] + brute(items, wanted, room - count * items[index], index + 1) }.max
  end

  it "fills a length as full as can be around one of the longest" do
    each_random(150) do |random|
      items = Array.new(random.rand(1..5)) { random.rand(3..40) }.uniq.sort.reverse
      wanted = items.map { random.rand(0..4) }
      room = random.rand(30..108)
      taken = described_class.of(items, 108).taken(room, wanted)
      first = items.each_index.find { wanted[_1].positive? && items[_1] <= room }
      next expect(taken.sum).to eq 0 unless first
      expect(taken.zip(wanted)).to all(satisfy { |count, most| count <= most })
      others = wanted.dup.tap { _1[first] -= 1 }
      expect(taken.zip(items).sum { |count, item| count * item }).to eq items[first] + brute(items, others,
        room - items[first])
    end
  end

  it "is not to be had where the lengths have nothing in common" do
    expect(described_class.of([1_000_003, 999_983], 100_000_007)).to be_nil
  end
end
