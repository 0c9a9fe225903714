# frozen_string_literal: true

RSpec.describe Lantern::Measure::Money do
  def text(amount, currency) = described_class.text(BigDecimal(amount), currency)

  # The minor units of ISO 4217: none of yen, two of dollars, three of dinars (from memory).
  it "writes a sum with the places of its currency, rounded half up once" do
    expect([text("1750", "JPY"), text("1749.5", "JPY"), text("8.745", "USD"), text("8.7445", "BHD")])
      .to eq ["1750", "1750", "8.75", "8.745"]
    expect(text("0.005", "XXQ")).to eq "0.01"
  end

  it "is the same in every sum of a worked plan" do
    yen = work(currency: "JPY", materials: [rope(offers: [{"length" => "10 ft", "price" => "175"}], on_hand: [])],
      layers: [layer("rope_coil", "rope")])
    expect(yen["cost"].values_at("to_buy", "used")).to all(match(/\A\d+\z/))
    expect(yen["cost"]["to_buy"].to_i % 175).to eq 0
    price = Lantern::Measure::Price
    expect(price.amount(price.exact(BigDecimal("8.7445")))).to eq BigDecimal("8.7445")
  end

  it "writes a little less than nothing as nothing" do
    expect(described_class.text(BigDecimal("-0.001"), "USD")).to eq "0.00"
    expect(described_class.text(BigDecimal("-0.006"), "USD")).to eq "-0.01"
  end
end
