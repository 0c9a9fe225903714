# frozen_string_literal: true

RSpec.describe Lantern::Measure::Spreading do
  # Published: the rhythms E(3,8), E(5,8) and E(2,5), Toussaint, "The Euclidean algorithm generates
  # traditional musical rhythms" (2005); equal up to rotation.
  it "makes the known Euclidean rhythms" do
    {[3, 5] => "10010010", [5, 3] => "10110110", [2, 3] => "10100"}.each do |counts, rhythm|
      made = described_class.spread(counts).map { 1 - _1 }.join
      expect(Array.new(made.length) { |i| made.chars.rotate(i).join }).to include(rhythm)
    end
  end

  # Bresenham's line: in a balanced word any two stretches of one length differ by at most one.
  it "is balanced for two colours, whatever the counts" do
    each_random(100) do |random|
      order = described_class.spread([random.rand(1..12), random.rand(1..12)])
      (1..order.size).each do |length|
        counts = order.each_cons(length).map { _1.count(0) }
        expect(counts.max - counts.min).to be <= 1
      end
    end
  end

  # Tijdeman (1980): with several colours, none is ever a whole piece from its share.
  it "keeps every colour within one of its share" do
    each_random(100) do |random|
      counts = Array.new(random.rand(2..5)) { random.rand(1..9) }
      order = described_class.spread(counts)
      expect(order.tally.sort.map(&:last)).to eq counts
      (1..order.size).each do |place|
        counts.each_with_index { |count, kind|
          expect(
          (order.first(place).count(kind) - Rational(count * place, counts.sum)).abs
        ).to be < 1
        }
      end
    end
  end

  it "alternates and blocks" do
    expect(described_class.alternating([3, 1])).to eq [0, 1, 0, 0]
    expect(described_class.blocks([2, 3])).to eq [0, 0, 1, 1, 1]
  end
end
