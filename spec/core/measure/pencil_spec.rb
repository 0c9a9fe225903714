# frozen_string_literal: true

require_relative "../../support/trial/whole_plans"
require_relative "../../support/trial/by_pencil"

RSpec.describe Lantern::Measure::Pencil do
  it "works out what a sum says" do
    {
      "34 9/16 ÷ 1 13/16, rounded up" => 20, "25 1/8 ÷ 5/16, rounded down" => 80,
      "2 × (14.07 ÷ 5/16, rounded down)" => 90, "√(3² + 4²)" => 5, "54 + 5 %, rounded up" => 57,
      "10 + 50 % + 2 × 1" => 17, "1.28 × 7 % of 54, less 3 spares, rounded up" => 2, "8 − 3 − 2" => 3, "½ × 9" => 4.5,
      "9 × 8 turns × π ÷ π" => 72, "2 × 2 1/2 + 5 1/4 once round + 1 3/4" => 12
    }.each { |sum, answer| expect(described_class.work(sum)).to be_within(1e-9).of(answer), sum }
  end

  it "refuses what is no sum" do
    ["", "as you said", "2 ×", "(3", "3 4"].each do |text|
      expect { described_class.work(text) }.to raise_error(described_class::Unclear), text
    end
  end
end

RSpec.describe Lantern::Measure::Sum do
  def beside(answer, pattern, *values, units: "in")
    described_class.new(pattern:, values:, units:, mark: 1 / 8r).beside(answer)
  end

  it "shows tape marks where they give the answer and decimals where they do not" do
    expect(beside("80", "%l ÷ %l, rounded down", 25.1327, 5 / 16r)).to eq "25 1/8 ÷ 5/16, rounded down"
    expect(beside("251", "%l ÷ %l, rounded down", 25.1327, 1 / 10r)).to eq "25.13 ÷ 0.1, rounded down"
    expect(beside("20.3 cm", "2 × %l", 4r, units: "cm")).to eq "2 × 10.16"
  end
end

RSpec.describe "The sums that a worked plan shows" do
  # Before sums were shown as exactly as they are used, 94 lines of 271 of odd sizes did not come out.
  it "come out by pencil, every one, to the last digit shown" do
    plans = Trial::WholePlans.new(Random.new(20_261))
    lines = worked = 0
    Array.new(50) { plans.plan }.each do |plan|
      done = Lantern.work(plan)
      worked += 1
      lines += Trial::ByPencil.lines(done).size
      expect(Trial::ByPencil.wrong(done, mark: (plan["units"] == "cm") ? 0.5 : 0.125)).to eq []
    rescue Lantern::Plan::Refused
      next
    end
    expect([worked, lines]).to match [be > 20, be > 200]
  end
end
