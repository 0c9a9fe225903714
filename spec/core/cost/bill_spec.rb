# frozen_string_literal: true

RSpec.describe Lantern::Cost::Bill do
  def cost(**options) = work(form: foam(14, 10), layers: [layer("spiral_wrap", "tape")], **options)

  it "pays whole packages, and counts what is used by its length" do
    worked = cost(materials: [ribbon(offers: [{"length" => 1000, "price" => "10.00"}])])
    length = worked["materials"][0]["needed"]
    expect(worked["cost"]).to include("to_buy" => "10.00", "used" => format("%.2f", length / 100))
    expect(BigDecimal(worked["cost"]["used"]) + BigDecimal(worked["cost"]["left_in_stash"])).to be_within(0.01).of(10)
  end

  it "prices what was on hand at the cheapest it is sold for" do
    worked = cost(materials: [ribbon(on_hand: [600],
      offers: [{"length" => 100, "price" => "2.00"}, {"length" => 200, "price" => "3.00"}])])
    expect(worked["cost"]["to_buy"]).to eq "0.00"
    expect(BigDecimal(worked["cost"]["used"])).to be_within(0.01).of(worked["materials"][0]["needed"] * 0.015)
  end

  it "has nothing to say of money where nothing is sold" do
    expect(cost(materials: [ribbon(on_hand: [900], offers: [])])["cost"]).to eq("to_buy" => "0.00", "used" => "0.00",
      "per_wreath" => "0.00", "left_in_stash" => "0.00", "from_stash" => "0.00", "left_over" => "0.00",
      "scraps" => "0.00")
    expect(work["cost"]["to_buy"]).to eq "0.00"
  end

  # What comes in goes out: bought and from the stash; into the work, left over, scraps; to the last hundredth, with the
  # rounding in its own line.
  it "is one sum that closes, whatever lies in the stash, and so does every sum of parts" do
    each_random(60) do |random|
      prices = Array.new(2) { {"length" => random.rand(60..200), "price" => format("%.2f", random.rand * 9 + 0.5)} }
      on_hand = Array.new(random.rand(0..4)) { random.rand(4.0..90.0).round(2) }
      worked = cost(materials: [ribbon(offers: prices, on_hand:)],
        quantity: random.rand(1..4), money: {"tax" => 8.25, "hourly" => "17.35", "overhead" => 7, "margin" => 30})
      lines = worked["cost_working"].to_h { [_1["key"], BigDecimal(_1["answer"].delete("$"))] }
      off = ->(key) { lines.fetch(key, BigDecimal(0)) }
      expect(lines["to_buy"] + lines["from_stash"])
        .to eq lines["used"] + lines["left_over"] + lines["scraps"] - off.call("rounding")
      expect(lines["scraps"]).to be >= 0
      expect(lines["to_pay"]).to eq lines["to_buy"] + lines["tax"] + off.call("tax_rounding")
      expect(lines["cost_of_one"])
        .to eq lines["per_wreath"] + lines["bench_time"] + lines["overhead"] + off.call("cost_rounding")
      expect(lines.values_at("rounding", "tax_rounding", "cost_rounding").compact.map(&:abs))
        .to all be <= BigDecimal("0.03")
    end
  end

  it "is exact where binary fractions are not" do
    prices = Array.new(10) { |i| ribbon(id: "t#{i}", offers: [{"length" => 1000, "price" => "0.10"}]) }
    layers = prices.each_with_index.map { |material, i| layer("spiral_wrap", material["id"]).merge("id" => "l#{i}") }
    expect(work(form: foam(14, 10), materials: prices, layers:)["cost"]["to_buy"]).to eq "1.00"
  end

  it "says for sure when what is in hand is more than any make will take, and how likely otherwise" do
    chance = ->(on_hand) { cost(materials: [ribbon(on_hand: [on_hand], offers: [])])["materials"][0]["chance_enough"] }
    needed = cost(materials: [ribbon])["materials"][0]["needed"]
    expect(chance.call((needed * 1.5).ceil)).to eq 1.0
    # One spread above the mean: the normal distribution's 0.841 (Abramowitz and Stegun, table 26.1).
    expect(chance.call((needed * 1.06).round(3))).to be_within(0.01).of(0.841)
    expect(chance.call((needed * 0.8).round(3))).to eq 0.0
  end
end
