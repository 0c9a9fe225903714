# frozen_string_literal: true

RSpec.describe Lantern::Measure::Chance do
  # Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.1.
  it "agrees with the table of the normal distribution" do
    {0.0 => 0.5, 1.0 => 0.841344746, 1.5 => 0.933192799, 2.0 => 0.977249868, -1.0 => 0.158655254}
      .each do |spreads, chance|
      expect(described_class.enough(100 + spreads * 7, mean: 100, spread: 7)).to be_within(1e-8).of(chance)
    end
  end

  # The same handbook, table 26.5.
  it "finds how many spreads make one sure" do
    {0.5 => 0.0, 0.9 => 1.281551566, 0.95 => 1.644853627, 0.99 => 2.326347874}.each do |sureness, spreads|
      expect(described_class.spreads_for(sureness)).to be_within(1e-7).of(spreads)
    end
  end

  it "is certain where nothing is uncertain" do
    expect(described_class.enough(100, mean: 100, spread: 0)).to eq 1.0
    expect(described_class.enough(99, mean: 100, spread: 0)).to eq 0.0
  end
end
