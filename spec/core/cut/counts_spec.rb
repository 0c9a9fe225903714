# frozen_string_literal: true

RSpec.describe Lantern::Cut::Counts do
  def cut(wanted, offers, on_hand = [])
    fields = Lantern::Plan::Material.members.to_h { [_1, nil] }
    material = Lantern::Plan::Material.new(**fields, id: "ties", kind: :tie, name: "Ties", on_hand:,
      offers: offers.map { |count, price| {count:, price: BigDecimal(price)} })
    piece = Lantern::Cut::Demand::Piece.new(layer: "one", what: "ties", length: 1r, width: nil, count: wanted)
    demand = Lantern::Cut::Demand.new(pieces: [piece], runs: [], join: 1, least: 0, spread: 0.0,
      allowance: 0.0)
    described_class.cut(material, demand)
  end

  def price(cutting) = cutting.bought.sum { |offer, count| cutting.material.offers[offer][:price] * count }

  it "buys the packages that come to the least money, as brute force does, and of those the fewest" do
    each_random(60) do |random|
      offers = Array.new(random.rand(1..3)) { [random.rand(1..15), format("%.2f", random.rand(0.5..9.0))] }
      wanted = random.rand(1..30)
      choices = offers.map { |count, _| (0..(wanted.fdiv(count).ceil)).to_a }
      best = choices.first.product(*choices.drop(1))
        .select { |picked| picked.zip(offers).sum { |n, (count, _)| n * count } >= wanted }
        .map { |picked| [picked.zip(offers).sum { |n, (_, each)| n * BigDecimal(each) }, picked.sum] }.min
      cutting = cut(wanted, offers)
      expect([price(cutting), cutting.bought.values.sum]).to eq best
      expect(cutting.short).to eq 0
    end
  end

  it "uses what is on hand first, and loses nothing" do
    cutting = cut(30, [[12, "2.00"]], [5, 9, 3])
    expect(cutting.bought).to eq(0 => 2)
    taken = cutting.bars.sum { |bar| bar.cuts.sum(&:count) }
    left = cutting.bars.sum(&:left) + cutting.untouched.sum
    expect(taken).to eq 30
    expect(taken + left).to eq 5 + 9 + 3 + 24
  end

  it "says how many cannot be had" do
    expect(cut(10, [], [4]).short).to eq 6
  end

  it "writes numbers as numbers, whatever the units" do
    worked = work(form: gourd, materials: [stash[5]], layers: [layer("fill", "blooms", bloom: "3/2")],
      units: "cm")["materials"][0]
    expect(worked["needed"]).to be_an(Integer)
    expect(worked["working"].last["answer"]).not_to match(/cm/)
    expect(worked["on_hand"]).to eq 7
  end
end
