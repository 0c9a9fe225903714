# frozen_string_literal: true

require_relative "../../support/rivals"

RSpec.describe Lantern::Cut::Rolls do
  def material(offers: [], on_hand: [])
    Lantern::Plan::Material.check({"id" => "m", "kind" => "ribbon", "name" => "Tape", "width" => 1,
      "offers" => offers.map { |length, price| {"length" => length, "price" => price} }, "on_hand" => on_hand},
      units: "in")
  end

  def cut(material, pieces: {}, run: nil, join: 1, least: 2, quantity: 1, sureness: 0.5)
    needs = pieces.map { |length, count|
      Lantern::Place::Need.pieces(material: "m", what: :strips, length: length.to_r,
        count:)
    }
    needs << Lantern::Place::Need.run(material: "m", what: "wrap", length: run, join:, least:, spread: 0) if run
    described_class.cut(material, Lantern::Cut::Demand.gather(asked(needs, times: quantity), sureness:))
  end

  def asked(needs, times: 1) = needs.map { |need| Lantern::Cut::Demand::Asked.new(layer: "one", need:, times:) }

  def money(cutting) = cutting.bought.sum { |offer, count| cutting.material.offers[offer][:price] * count }

  # Nothing is lost and nothing is made: what was opened is what was cut and what is left.
  def check_whole(cutting, pieces)
    cutting.bars.each do |bar|
      expect(bar.cuts.sum { _1.length * _1.count } + bar.left).to eq bar.length
      expect(bar.left).to be >= 0
    end
    made = cutting.bars.flat_map(&:cuts).reject(&:run?).group_by(&:length).transform_values { |cuts| cuts.sum(&:count) }
    expect(made).to eq pieces.to_h { |length, count| [length.to_r, count] }.reject { |_, count| count.zero? }
  end

  # Common practice: a 9 ft roll gives six 18 in pieces, and twelve bows take two rolls with nothing left.
  it "gets six 18 in pieces from a 9 ft roll" do
    roll = material(offers: [["9 ft", "3.20"]])
    six = cut(roll, pieces: {18 => 6})
    expect(six.bought).to eq(0 => 1)
    expect(six.optimal).to be true
    twelve = cut(roll, pieces: {18 => 12})
    expect(twelve.bought).to eq(0 => 2)
    expect(twelve.bars.map(&:left)).to eq [0, 0]
    expect(cut(roll, pieces: {18 => 13}).bought).to eq(0 => 3)
  end

  # Common practice: three 5 in folds take a strip of 31 in; 18 of them are 46 1/2 ft.
  it "adds up eighteen strips of 31 in to 46 1/2 ft" do
    needs = [Lantern::Place::Need.pieces(material: "m", what: :strips, length: 31r, count: 18)]
    expect(Lantern::Cut::Demand.gather(asked(needs), sureness: 0.9).total).to eq 46.5 * 12
  end

  it "costs what GLPK says, on random sets of pieces, packages and remnants" do
    each_random(60) do |random|
      lengths = Array.new(random.rand(1..4)) { random.rand(6..50) }.uniq
      pieces = lengths.to_h { [_1, random.rand(1..9)] }
      offers = Array.new(random.rand(1..2)) { [random.rand(60..120), random.rand(100..600)] }.uniq(&:first)
      on_hand = Array.new(random.rand(0..3)) { random.rand(10..70) }
      rival = Rivals.glpk(offers.map { |length, cents| [length, cents, nil] } +
        on_hand.tally.map { |length, count| [length, 0, count] }, pieces)
      cutting = cut(material(offers: offers.map { |length, cents| [length, format("%.2f", cents / 100.0)] }, on_hand:),
        pieces:)
      expect((money(cutting) * 100).to_i).to eq rival
      expect(cutting.optimal).to be true
      check_whole(cutting, pieces)
    end
  end

  it "opens as few packages as trying everything finds" do
    each_random(40) do |random|
      list = Array.new(random.rand(3..9)) { random.rand(15..70) }
      cutting = cut(material(offers: [[100, "1.00"]]), pieces: list.tally)
      expect(cutting.bought.values.sum).to eq Rivals.fewest_bins(list, 100)
    end
  end

  it "beats first-fit decreasing where that fails" do
    # Lengths on which the rule of thumb opens one more than is needed.
    list = [51, 51, 27, 27, 26, 26, 23, 23, 23, 23]
    expect(Rivals.first_fit_decreasing(list, 100)).to eq 4
    cutting = cut(material(offers: [[100, "1.00"]]), pieces: list.tally)
    expect(cutting.bought).to eq(0 => 3)
    expect(cutting.optimal).to be true
  end

  it "is optimal or says its bound where there are too many patterns to list" do
    each_random(4) do |random|
      list = Array.new(60) { random.rand(5..35) }
      cutting = cut(material(offers: [[100, "1.00"]]), pieces: list.tally)
      check_whole(cutting, list.tally)
      expect(cutting.bound / 10_000).to be >= (list.sum / 100.0).ceil
      expect(cutting.bought.values.sum).to be <= Rivals.first_fit_decreasing(list, 100)
      expect(cutting.optimal).to eq(cutting.bought.values.sum == cutting.bound / 10_000)
    end
  end

  it "takes the cheaper mix of two sizes, and what is on hand before a package" do
    two = material(offers: [[180, "3.20"], [360, "5.80"]])
    expect(cut(two, pieces: {60 => 9}).bought).to eq(0 => 1, 1 => 1)
    expect(cut(two, pieces: {60 => 5}).bought).to eq(1 => 1)
    remnants = material(offers: [[120, "2.00"]], on_hand: [40, 65])
    cutting = cut(remnants, pieces: {30 => 3})
    expect(cutting.bought).to eq({})
    check_whole(cutting, {30 => 3})
  end

  describe "a run" do
    it "may be joined, at the cost of a join" do
      cutting = cut(material(offers: [[120, "1.75"]], on_hand: [50]), run: 400)
      expect(cutting.bought).to eq(0 => 3)
      expect(cutting.joins).to eq 3
      expect(cutting.bars.sum { |bar| bar.cuts.sum(&:length) }).to eq 400 + 3
      expect(cutting.optimal).to be true
    end

    it "needs one package more when its joins push it over" do
      expect(cut(material(offers: [[100, "1.00"]]), run: 298).bought).to eq(0 => 3)
      expect(cut(material(offers: [[100, "1.00"]]), run: 299).bought).to eq(0 => 4)
    end

    it "is not patched with scraps" do
      cutting = cut(material(offers: [[100, "1.00"]], on_hand: [5, 30]), run: 120, least: 8)
      expect(cutting.bars.map(&:length)).to eq [30, 100]
    end

    it "leaves one long remnant" do
      cutting = cut(material(offers: [[120, "1.75"]], on_hand: [44, 31.5]), pieces: {6.875 => 13}, run: 592, least: 7)
      expect(cutting.bought).to eq(0 => 6)
      expect(cutting.remnants(6).size).to eq 1
      check_whole(cutting, {6.875 => 13})
    end

    it "shares its lengths with pieces, as cheaply as an exact program finds" do
      each_random(25) do |random|
        run, count, piece = random.rand(100..400), random.rand(1..8), random.rand(5..30)
        cutting = cut(material(offers: [[120, "1.00"]]), pieces: {piece => count}, run:)
        lengths = cutting.bought.values.sum
        # Every way to put the pieces into one length fewer leaves too little for the run.
        fits = ->(bars) {
          spread_over(count, bars, 120 / piece)
            .any? { |each|
            each.sum { |pieces|
              [120 - pieces * piece, 0]
                .max.then { |left| (left < 2) ? 0 : left - 1 }
            } >= run - 1
          }
        }
        expect(fits.call(lengths)).to be true
        expect(fits.call(lengths - 1)).to be false
        check_whole(cutting, {piece => count})
      end
    end

    # Every way to spread so many pieces over so many bars, the bars being alike.
    def spread_over(count, bars, most)
      return count.zero? ? [[]] : [] if bars.zero?
      (0..[most, count].min).flat_map { |first| spread_over(count - first, bars - 1, most).map { [first] + _1 } }
    end
  end

  it "says what cannot be had" do
    expect(cut(material(on_hand: [20]), pieces: {18 => 3}).short).to eq 36
    expect(cut(material(offers: [[10, "1.00"]]), pieces: {18 => 2}).short).to eq 36
    expect(cut(material(on_hand: [50]), run: 80).short).to eq 30
    nothing = cut(material, pieces: {5 => 1})
    expect(nothing.short).to eq 5
    expect(nothing.optimal).to be false
  end

  it "buys one package more when the maker wants to be surer" do
    bought = ->(sureness) {
      work(sureness:, form: foam(14, 10),
        materials: [rope(offers: [{"length" => 12, "price" => "0.10"}])],
        layers: [layer("rope_coil", "rope", school: "even")])["materials"][0]
    }
    counts = [0.5, 0.9, 0.99].map { bought.call(_1)["buy"][0]["count"] }
    expect(counts).to eq counts.sort.uniq
    expect(bought.call(0.9)["chance_enough"]).to be_between(0.9, 0.97)
  end
end
