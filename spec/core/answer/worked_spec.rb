# frozen_string_literal: true

RSpec.describe Lantern::Answer::Worked do
  let(:worked) { Lantern.work(example_plan("door-7-rope-ring")) }
  let(:rope_worked) { worked["materials"][0] }

  it "says the same length of coils and fillers in figures, needs, cutting and drawing" do
    layer = worked["layers"][0]
    expect(rope_worked["needed"]).to be_within(1e-3).of(layer["needs"][0]["length"] + 13 * layer["needs"][1]["length"])
    cuts = rope_worked["cutting"].flat_map { _1["cuts"] }
    expect(cuts.select { _1["what"] == "fillers" }.sum { _1["count"] }).to eq 13
    coils = cuts.select { _1["what"] == "coils" }
    expect(coils.sum { _1["length"] }).to be_within(1e-2).of(layer["needs"][0]["length"] + rope_worked["joins"])
    expect(rope_worked["joins"]).to eq coils.size - 1
    expect(worked["drawing"]["layers"].map { [_1["what"], _1["front"].size] }).to eq [["coils", 80], ["fillers", 13]]
  end

  it "adds up the money exactly" do
    expect(rope_worked["buy"]).to eq [{"offer" => 0, "count" => 6, "cost" => "10.50"}]
    expect(worked["cost"]["to_buy"]).to eq "10.50"
    used = rope_worked["cutting"].flat_map { _1["cuts"] }.sum { _1["length"].to_s.to_d * _1["count"] } *
      BigDecimal("1.75") / 120
    expect(BigDecimal(worked["cost"]["used"])).to be_within(0.01).of(used)
  end

  it "keeps what was on hand and bought: all of it is cut or left" do
    cut = rope_worked["cutting"].sum { |bar| bar["cuts"].sum { _1["length"] * _1["count"] } + bar["left"] }
    expect(cut).to be_within(0.01).of(44 + 31.5 + 6 * 120)
  end

  it "multiplies by the quantity, and divides the cost by it" do
    three = Lantern.work(example_plan("door-7-rope-ring").merge("quantity" => 3))
    expect(three["materials"][0]["needed"]).to be_within(1e-3).of(3 * rope_worked["needed"])
    expect(BigDecimal(three["cost"]["per_wreath"]) * 3).to be_within(0.02).of(BigDecimal(three["cost"]["used"]))
    expect(three["minutes"]).to be_within(6).of(3 * worked["minutes"])
  end

  it "tells which stages are settled" do
    expect(worked["stages"]).to eq("form" => true, "cover" => true, "trim" => false, "hang" => false, "cut" => true,
      "buy" => false, "bench" => false)
    expect(work["stages"]).to eq("form" => true, "cover" => false, "trim" => false, "hang" => false, "cut" => false,
      "buy" => false, "bench" => false)
    expect(Lantern.work(example_plan("door-18-rust-stripes"))["stages"]["buy"]).to be true
  end

  # A quarter of a million pieces: every package is numbered once, not counted again for each.
  it "numbers tens of thousands of packages" do
    many = work(materials: [ribbon], layers: [layer("row_of", "tape", count: 500)], quantity: 500)
    # Six 18 in pieces to a 9 ft roll, and four in the last.
    expect(many["cut_sheet"].map { _1["from"] }).to eq ["packages 1 to 41666", "package 41667"]
    expect(many["materials"][0]["cutting"].map { _1["from"] }.values_at(0, 41_666)).to eq ["package 1", "package 41667"]
  end

  it "stacks bars that are cut alike on the cut sheet" do
    expect(worked["cut_sheet"].sum { _1["times"] }).to eq rope_worked["cutting"].size
    expect(worked["cut_sheet"].map { _1["from"] }).to include("packages 2 to 5")
    worked["cut_sheet"].each { |bar|
      expect(bar["cuts"].sum { _1["length"] * _1["count"] } + bar["left"])
        .to be_within(0.01).of(bar["length"])
    }
  end

  it "opens a sum whose answer is the figure" do
    answers = worked["layers"][0]["working"].to_h { [_1["key"], _1["answer"]] }
    expect(answers["fitting"]).to eq worked["layers"][0]["figures"]["turns"].to_s
    expect(answers["crowded_run"]).to eq "25 1/8 in"
  end

  it "shows cautions where they apply" do
    codes = ->(document) { Lantern.work(document)["cautions"].map { _1["code"] } }
    expect(codes.call(example_plan("door-7-rope-ring"))).to include("hot_glue", "wire_ends", "hanging", "public")
    expect(codes.call(example_plan("door-7-rope-ring"))).not_to include("foam_glue")
    expect(codes.call(example_plan("door-3-marigold-wrap"))).to eq %w[hot_glue foam_glue hanging public]
  end
end
