# frozen_string_literal: true

RSpec.describe Lantern::Ask::Finish do
  let(:two) {
    plan(form: foam(12, 8), materials: [ribbon],
      layers: [layer("spiral_wrap", "tape"), layer("row_of", "tape", count: 4).merge("id" => "bows")])
  }

  def problems_of(finish, used)
    finish.lines(used)
    []
  rescue Lantern::Plan::Refused => refused
    refused.problems.map(&:at)
  end

  it "is filled in as planned, and by what was counted where something was" do
    worked = work(materials: [rope], layers: [layer("rope_coil", "rope")])
    finish = described_class.new(plan(materials: [rope], layers: [layer("rope_coil", "rope")]))
    planned = worked["materials"][0]["needed"]
    used = ->(counts) { Lantern::Measure::Length.read(finish.form(counts)[0]["used"], units: "in").to_f }
    expect(used.call({})).to be_within(1).of(planned)
    # Forty of eighty coils, and no filler yet.
    expect(used.call({"one.coil" => 40})).to be_within(1).of(planned / 2)
    expect(used.call({"one.coil" => 88, "one.fill" => 13})).to be_within(1).of(planned * 101 / 93)
  end

  # One was planned and two were used: twice as many, however much of the one was spare.
  it "compares whole things with whole things" do
    stems = {"id" => "stems", "kind" => "tie", "sort" => "chenille", "name" => "Stems"}
    fixing = [{"with" => "stem", "material" => "stems", "count" => 0.5}]
    half = {"id" => "bow", "method" => "piece", "material" => "tape", "fixing" => fixing}
    line = described_class.new(plan(materials: [ribbon, stems], layers: [half])).lines("stems" => 2).first
    expect(line["used"] / line["planned"]).to eq 2
    expect(line.values_at("planned_says", "used_says")).to eq %w[1 2]
  end

  it "shares what was used of one material by what each covering was planned to take" do
    lines = described_class.new(two).lines("tape" => 300)
    expect(lines.map { _1["method"] }).to eq %w[spiral_wrap row_of]
    expect(lines.sum { _1["used"] }).to be_within(1e-3).of(300)
    expect(lines.map { _1["used"] / _1["planned"] }.minmax.reduce(:-)).to be_within(1e-4).of(0)
    expect(described_class.new(two).lines({})).to eq []
  end

  it "shares what was cut for several alike out, so that all shares together are what was cut" do
    stems = {"id" => "stems", "kind" => "tie", "name" => "Stems", "sort" => "chenille",
             "offers" => [{"count" => 10, "price" => "1.00"}], "on_hand" => [0]}
    document = plan(form: foam(12, 8), materials: [ribbon, stems], quantity: 5,
      layers: [layer("spiral_wrap", "tape"), layer("bow", "tape", id: "bow", at: 6)])
    needed = Lantern.work(document)["materials"].to_h { [_1["id"], _1["needed"]] }
    share = ->(count, before) {
      described_class.new(document, count:, before:).form({}).to_h { [_1["material"], _1["planned"]] }
    }
    # Half a stem ties a bow (common practice): five bows take three.
    expect(needed["stems"]).to eq 3
    expect((0...5).map { share.call(1, _1)["stems"] }).to eq [1, 0, 1, 0, 1]
    [[5], [1, 1, 1, 1, 1], [2, 3], [3, 1, 1]].each do |counts|
      befores = counts.each_index.map { counts.first(_1).sum }
      all = counts.zip(befores).map { |count, before| share.call(count, before) }
      expect([counts, all.sum { _1["stems"] }]).to eq [counts, 3]
      expect(all.sum { _1["tape"] }).to be_within(0.01).of(5 * share.call(1, 0)["tape"])
    end
  end

  it "says how much more or less than planned was used" do
    finish = described_class.new(two)
    planned = finish.form({})[0]["planned"]
    expect(finish.over("tape" => planned + 12)["tape"].to_f).to be_within(1e-3).of(12)
    expect(finish.over("tape" => planned - 12)["tape"].to_f).to be_within(1e-3).of(-12)
    expect(finish.over({})["tape"].to_f).to be_within(1e-3).of(0)
  end

  it "counts what is counted" do
    finish = described_class.new(plan(form: gourd, materials: stash, layers: [layer("fill", "blooms")]))
    line = finish.form({}).find { _1["material"] == "blooms" }
    expect(line).to include("counted" => true, "used" => line["planned"].to_s)
    expect(finish.lines("blooms" => line["planned"] + 2).find { _1["material"] == "blooms" }["used"])
      .to eq line["planned"] + 2
    expect(problems_of(finish, "blooms" => "2.5")).to eq ["used.blooms"]
    expect(problems_of(described_class.new(two), "tape" => "long")).to eq ["used.tape"]
  end

  # Steps that nobody worked at: a finish that is clicked through is a make without times.
  it "learns no times from steps that were clicked through" do
    ring = plan(materials: [rope], layers: [layer("rope_coil", "rope")])
    minutes = Lantern.work(ring)["steps"].find { _1["id"] == "one.coil" }["minutes"]
    expect(described_class.new(ring).steps("one.coil" => 3, "one.fill" => 2, "fluff" => 1)).to eq []
    half = described_class.new(ring).steps("one.coil" => (minutes * 30).round, "one.fill" => 2)
    expect(half.map { _1["key"] }).to eq ["one.coil"]
  end

  it "says what each step took beside what it was to take" do
    steps = described_class.new(two).steps("one.wind" => 600, "fluff" => 90, "nothing" => 5)
    expect(steps.map { _1.values_at("title", "took") }).to eq [["Wind the strip", 10.0], ["Look from a distance", 1.5]]
    expect(steps[1]["planned"]).to eq 4
  end
end
