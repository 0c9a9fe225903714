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
      "per_wreath" => "0.00", "left_in_stash" => "0.00")
    expect(work["cost"]["to_buy"]).to eq "0.00"
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
