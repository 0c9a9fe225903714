# frozen_string_literal: true

require_relative "../../support/rivals"

RSpec.describe Lantern::Cut::Patterns do
  let(:demand) { Lantern::Cut::Demand }

  def problem(pieces, offers: [[100, 1.0]], on_hand: [], run: 0)
    stock = on_hand.each_with_index.map { |length, index|
      Lantern::Cut::Stock.new(source: :on_hand, index:,
        length: length.to_r, price: 0, limit: 1)
    } +
      offers.each_with_index.map { |(length, price), index|
        Lantern::Cut::Stock.new(source: :offer, index:,
          length: length.to_r, price: (price * 10_000).to_i, limit: nil)
      }
    wanted = pieces.map { |length, count|
      demand::Piece.new(layer: "a", what: "strips", length: length.to_r, width: nil,
        count:)
    }
    runs = run.zero? ? [] : [demand::Run.new(what: "wrap", length: run)]
    Lantern::Cut::Problem.new(stock:, demand: demand.new(pieces: wanted, runs:, join: 1, least: 2,
      spread: 0.0, allowance: 0.0))
  end

  def cut_of(problem, solution)
    problem.items.each_index.map { |item| solution.yields.sum { _1[item] } }
  end

  it "cuts exactly what was asked, from what is there" do
    each_random(40) do |random|
      pieces = Array.new(random.rand(1..4)) { random.rand(8..60) }.uniq.to_h { [_1, random.rand(1..12)] }
      on_hand = Array.new(random.rand(0..2)) { random.rand(10..90) }
      asked = problem(pieces, on_hand:)
      solution = described_class.improve(asked, nil)
      expect(cut_of(asked, solution)).to eq asked.counts
      solution.opened.zip(solution.yields).each { |stock, yields|
        expect(asked.items.zip(yields)
        .sum { |item, count| item * count }).to be <= asked.length_of(stock)
      }
      expect(solution.opened.select(&:limit).tally.values).to all(eq(1))
    end
  end

  it "proves what GLPK finds, with or without something to begin with" do
    each_random(40) do |random|
      pieces = Array.new(random.rand(2..4)) { random.rand(8..60) }.uniq.to_h { [_1, random.rand(1..12)] }
      asked = problem(pieces, offers: [[100, 1.0], [60, 0.55]])
      rival = Rivals.glpk([[100, 10_000, nil], [60, 5500, nil]], pieces)
      [nil, Lantern::Cut::Search.solve(asked)].each do |start|
        solution = described_class.improve(asked, start)
        expect(solution.price).to eq rival
        expect(solution.proven).to be true
      end
    end
  end

  it "is bounded from below by the linear program, which no plan beats", :thorough do
    each_random(12) do |random|
      pieces = Array.new(30) { random.rand(6..40) }.tally
      asked = problem(pieces)
      start = Lantern::Cut::Search.solve(asked)
      value = Lantern::Cut::Generation.columns(asked, start)[1][:value]
      expect(value).to be <= start.opened.size + 1e-6
      expect(value).to be >= pieces.sum { |length, count| length * count } / 100.0 - 1e-6
      expect(described_class.improve(asked, start).price).to be >= (value - 1e-6).ceil * 10_000
    end
  end

  it "weighs a run against pieces" do
    # Two pieces of 40 and a run of 150: in two lengths of 100, one each leaves 60 + 60; together they leave 20 + 100;
    # three are needed.
    asked = problem({40 => 2}, run: 150)
    expect(described_class.improve(asked, nil).opened.size).to eq 3
    # A run of 119 is 60 + 60 less the join.
    expect(described_class.improve(problem({40 => 2}, run: 118.9), nil).opened.size).to eq 2
  end
end

RSpec.describe Lantern::Cut::Knapsack do
  # Every way there is, for small cases.
  def brute(items, values, counts, room, index = 0)
    return 0.0 if index == items.size
    (0..[room / items[index], counts[index]].min)
      .map { |count| count * values[index] + brute(items, values, counts, room - count * items[index], index + 1) }.max
  end

  it "finds the most valuable filling that brute force finds" do
    each_random(200) do |random|
      size = random.rand(1..5)
      items, values, counts = Array.new(size) { random.rand(1..30) }, Array.new(size) { random.rand.round(3) },
        Array.new(size) { random.rand(1..4) }
      room = random.rand(1..80)
      worth, taken = described_class.best(items, values, counts, room)
      expect(worth).to be_within(1e-9).of(brute(items, values, counts, room))
      expect(taken.zip(items).sum { |count, item| count * item }).to be <= room
      expect(taken.zip(counts)).to all(satisfy { |count, limit| count <= limit })
    end
  end
end
