# frozen_string_literal: true

RSpec.describe Lantern::Measure::Learned do
  # Hoff, A First Course in Bayesian Statistical Methods (2009), section 5.3, midge wing lengths: nine
  # wings of mean 1.804 and variance 0.0169 under a prior of mean 1.9 and variance 0.01, each worth one
  # observation: the posterior mean is 1.814, the variance 0.015.
  it "updates a mean and a variance as a published example does" do
    wings = [1.64, 1.70, 1.72, 1.74, 1.82, 1.82, 1.82, 1.90, 2.08]
    after = described_class.update(wings, mean: 1.9, mean_worth: 1, variance: 0.01, variance_worth: 1)
    expect(after[:mean]).to be_within(0.0005).of(1.814)
    expect(after[:variance]).to be_within(0.0005).of(0.015)
    expect(after.values_at(:mean_worth, :variance_worth)).to eq [10, 10]
  end

  # Five makes of 8 in 100 more against a prior worth three: (3 + 5 * 1.08) / 8.
  it "weighs five makes against three of a prior" do
    learned = described_class.from("rope_coil", "rope", [1.08] * 5, spread: 0.04)
    expect(learned.factor).to be_within(1e-9).of(1.05)
    expect(learned.makes).to eq 5
    expect(described_class.from("rope_coil", "rope", [], spread: 0.04).factor).to eq 1.0
    # The more makes agree, the nearer to what they say and the surer.
    many = described_class.from("rope_coil", "rope", [1.08] * 50, spread: 0.04)
    expect(many.factor).to be_between(1.07, 1.08)
    expect(many.spread).to be < learned.spread
  end

  # Two standard errors: of ten makes that lie 5 % apart, 0.4 % on the average is chance and 6 % is not.
  it "is a lesson only beyond its own give or take" do
    apart = [-0.05, 0.05].cycle.first(10)
    expect(described_class.from("spiral_wrap", "tape", apart.map { 1.004 + _1 }, spread: 0.06)).not_to be_lesson
    expect(described_class.from("spiral_wrap", "tape", apart.map { 1.06 + _1 }, spread: 0.06)).to be_lesson
    expect(described_class.from("spiral_wrap", "tape", [1.06], spread: 0.06)).not_to be_lesson
  end

  it "is on the plan that takes it up: all the rope of the layer, and the sum says why" do
    before = work(materials: [rope], layers: [layer("rope_coil", "rope")])
    after = work(materials: [rope], layers: [layer("rope_coil", "rope")],
      learned: [{"method" => "rope_coil", "material" => "rope", "factor" => 1.05, "spread" => 0.02, "makes" => 5}])
    expect(after["materials"][0]["needed"]).to be_within(0.01).of(before["materials"][0]["needed"] * 1.05)
    expect(after["layers"][0]["figures"]).to eq before["layers"][0]["figures"]
    expect(after["layers"][0]["working"].last)
      .to include("says" => "With what was learned: Your last 5 took about 5 % more", "sum" => "× 1.050")
  end

  it "cuts more pieces where all of it is pieces, and leaves other coverings alone" do
    learned = [{"method" => "knotted_strips", "material" => "tape", "factor" => 1.1, "spread" => 0.02, "makes" => 2}]
    count = ->(**more) {
      work(materials: [ribbon], layers: [layer("knotted_strips", "tape")],
          **more)["layers"][0]["needs"].sum { _1["count"] }
    }
    expect(count.call(learned:)).to eq((count.call * 1.1).ceil)
    expect(count.call(learned: [learned[0].merge("method" => "spiral_wrap")])).to eq count.call
    expect(problems(plan(learned: [{"method" => "x", "material" => "y", "factor" => 0, "spread" => -1}])).keys)
      .to contain_exactly("learned.0.factor", "learned.0.spread")
  end
end
