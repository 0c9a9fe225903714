# frozen_string_literal: true

# Held against makes that are drawn from a distribution that is known.
RSpec.describe Lantern::Measure::Calibration do
  # Box and Muller: two even numbers make a normal one.
  def normal(random, mean, spread) =
    mean + spread * Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)

  def made(count, real:, expected:, seed: 5)
    random = Random.new(seed)
    Array.new(count) { described_class::Made.new(ratio: normal(random, *real), mean: expected[0], spread: expected[1]) }
  end

  def shares(calibration) = calibration.points.map { _1["enough"].fdiv(_1["of"]) }

  it "finds as many enough as were promised, where makes fall as they were expected to" do
    calibration = described_class.new(made(4000, real: [1.04, 0.05], expected: [1.04, 0.05]))
    promised = calibration.points.map { be_within(0.025).of(_1["sure"]) }
    expect(shares(calibration)).to match promised
    expect(calibration.says).to end_with "The predictions hold."
  end

  it "tells when makes lie farther apart than was thought, and when nearer" do
    wide = described_class.new(made(400, real: [1.0, 0.12], expected: [1.0, 0.04]))
    expect(shares(wide)[4]).to be < 0.8
    expect(wide.says).to include "promise too much"
    near = described_class.new(made(400, real: [1.0, 0.02], expected: [1.0, 0.06]))
    expect(shares(near)[4]).to be > 0.97
    expect(near.says).to include "more careful"
  end

  it "says nothing of a few makes" do
    few = described_class.new(made(described_class::FEWEST - 1, real: [1, 0.05], expected: [1, 0.05]))
    expect(few.points).to eq []
    expect(few.says).to match(/After 8 lengths/)
  end

  it "never finds fewer enough where it is to be surer" do
    each_random(50, seed: 9) do |random|
      calibration = described_class.new(made(random.rand(8..60), real: [random.rand(0.8..1.2), random.rand(0.01..0.2)],
        expected: [1.0, random.rand(0.01..0.2)], seed: random.rand(1000)))
      counts = calibration.points.map { _1["enough"] }
      expect(counts).to eq counts.sort
    end
  end
end
