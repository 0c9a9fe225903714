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

  # Student's t, published in many handbooks (Abramowitz and Stegun, table 26.10): one-sided 0.9, 0.975 and 0.995.
  it "agrees with the table of Student's t where a spread is known from few makes" do
    {1 => [3.078, 12.706, 63.657], 2 => [1.886, 4.303, 9.925], 3 => [1.638, 3.182, 5.841], 4 => [1.533, 2.776, 4.604],
     5 => [1.476, 2.571, 4.032], 10 => [1.372, 2.228, 3.169], 30 => [1.310, 2.042, 2.750]}.each do |freedom, row|
      row.zip([0.9, 0.975, 0.995]) do |spreads, sureness|
        expect(described_class.spreads_for(sureness, freedom:)).to be_within(0.0006).of(spreads)
        expect(described_class.enough(spreads, mean: 0, spread: 1, freedom:)).to be_within(1e-4).of(sureness)
      end
    end
    expect(described_class.spreads_for(0.9, freedom: 5_000)).to be_within(1e-3).of(1.2816)
  end
end
