# frozen_string_literal: true

RSpec.describe Lantern::Bench do
  def steps(name) = Lantern.work(example_plan(name))["steps"]

  it "goes in the order of the work: prepare, cut, cover, look" do
    expect(steps("door-7-rope-ring").map { _1["id"] }).to eq %w[prepare base.coil base.fill fluff]
    expect(steps("door-3-marigold-wrap").map { _1["id"] }).to eq %w[prepare wrap.test wrap.wind wrap.end fluff]
    expect(steps("door-11-knotted-check").map { _1["id"] }).to eq %w[prepare cut knots.knot fluff]
  end

  it "counts what the figures say" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    counted = worked["steps"].to_h { [_1["id"], [_1["count"], _1["unit"]]] }
    figures = worked["layers"][0]["figures"]
    expect(counted).to include("base.coil" => [figures["turns"], "coils"],
      "base.fill" => [figures["fillers"], "fillers"])
    knots = Lantern.work(example_plan("door-11-knotted-check"))
    expect(knots["steps"].find { _1["id"] == "knots.knot" }["count"]).to eq knots["layers"][0]["figures"]["tied"]
    expect(knots["steps"].find { _1["id"] == "cut" }["count"]).to eq knots["layers"][0]["figures"]["pieces"]
  end

  # Common practice: a ring of foam is marked, cut with the blade away from the hand, and snapped; nothing else of a
  # covered foam ring meets a blade.
  it "warns of what a step holds, and of nothing else" do
    codes = ->(worked) { worked["cautions"].map { _1["code"] } }
    arc = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 200}
    cut = work(form: arc, materials: [rope], layers: [layer("rope_coil", "rope")])
    expect(cut["steps"][0]["cautions"].join).to include("away from your hand")
    expect(cut["tools"]).to include("craft knife")
    whole = work(form: arc.merge("already_cut" => true), materials: [rope], layers: [layer("rope_coil", "rope")])
    expect(codes.call(whole)).to eq %w[hot_glue foam_glue hanging public]
    knots = work(materials: [ribbon], layers: [layer("knotted_strips", "tape")])
    expect(codes.call(knots)).to eq %w[wire_ends hanging public]
  end

  it "says after how many coils each length comes to its end" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    step = worked["steps"].find { _1["id"] == "base.coil" }
    turn = worked["layers"][0]["figures"]["length_per_turn"]
    runs = worked["cut_sheet"]
      .flat_map { |bar| bar["cuts"].select { _1["shape"] == "run" }.flat_map { |cut| [cut["length"]] * bar["times"] } }
    expect(step["changes"].size).to be_between(1, runs.size - 1)
    # So many coils take no more than the lengths so far, and one more coil would.
    laid = 0
    runs.first(step["changes"].size).zip(step["changes"]) do |length, coils|
      laid += length - 1
      expect(coils * turn).to be <= laid + 0.01
      expect((coils + 1) * turn).to be > laid
    end
    expect(Lantern.work(example_plan("door-7-rope-ring").merge("quantity" => 2))["steps"]
      .find { _1["id"] == "base.coil" }).not_to have_key("changes")
  end

  # From memory: a second and a half for every inch, and three minutes to begin.
  it "takes as long as its coils do, for every wreath of the plan" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    turns, each = worked["layers"][0]["figures"].values_at("turns", "length_per_turn")
    expect(worked["steps"].find {
      _1["id"] == "base.coil"
    }["minutes"]).to be_within(0.1).of(turns * each * 1.5 / 60 + 3)
    worked = Lantern.work(example_plan("door-3-marigold-wrap"))
    expect(Lantern.work(example_plan("door-3-marigold-wrap").merge("quantity" => 4))["minutes"]).to be_within(1)
      .of(4 * worked["minutes"])
  end

  it "shows each caution once, and defers to the people in charge" do
    document = example_plan("door-3-marigold-wrap")
    cautions = Lantern.work(
      document.merge("layers" => document["layers"] + [document["layers"][0].merge("id" => "again")])
    )["cautions"]
    expect(cautions.map { _1["code"] }.tally.values).to all(eq(1))
    expect(cautions.map { _1["says"] }.join).to match(/low setting.*local fire authority/m)
  end
end
