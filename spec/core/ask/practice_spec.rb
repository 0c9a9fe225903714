# frozen_string_literal: true

RSpec.describe Lantern::Ask::Practice do
  def knots = example_plan("door-11-knotted-check")

  def practised(plan, **found) = described_class.answer({"plan" => plan, **found.transform_keys(&:to_s)})

  # By pencil: a strip of 12 in, tails of 4 1/2 in together; once round the rail takes pi x 3/16 in of wire.
  it "takes a knot's own take-up for the guess, in all strips, and says so" do
    piece = {"cut" => "12 in", "tails" => "4 1/2 in"}
    answer = practised(knots, layer: "knots", test_piece: piece)
    before, after = [knots, answer["plan"]].map { Lantern.work(_1)["layers"][0]["figures"] }
    round = Lantern::Work.read(knots).layers[0].bar_girth
    expect(after["take_up"]).to be_within(1e-3).of(12 - 4.5 - round)
    expect(after["piece_length"]).to be_within(0.125).of(2 * 2.5 + 7.5)
    expect(answer["says"].first).to start_with("Your knots take up 2 1/4 in, not 1 3/4 in: ")
    more = (after["length"] - before["length"]).round
    expect(answer["says"].first).to include "#{more / 12} ft #{more % 12} in more of it"
    expect(answer["tried"]).to eq("method" => "knotted_strips", "test_piece" => piece)
    expect(answer["plan"]["paces"]).to eq knots["paces"]
  end

  it "takes the time of five for what is planned, whatever was learned before; what was clicked teaches nothing" do
    [knots, knots.merge("paces" => [{"method" => "knotted_strips", "factor" => 2.0, "makes" => 3}])].each do |plan|
      answer = practised(plan, layer: "knots", seconds: 36)
      step = ->(document) { Lantern.work(document)["steps"].find { _1["id"] == "knots.knot" } }
      expect(step.call(answer["plan"])["minutes"]).to be_within(0.06).of(step.call(plan)["count"] * 36 / 60.0)
      expect(answer["plan"]["paces"].size).to eq 1
      expect(answer["says"].last).to match(/\AOne strip in 36 s, not \d+: \d+ min (more|less) at the bench\.\z/)
    end
    clicked = practised(knots, layer: "knots", seconds: 0.5, test_piece: {"cut" => 12, "tails" => 4.5})
    expect(clicked["says"].last).to eq "So fast are no hands: the time is left out."
    expect(clicked["plan"]["paces"]).to eq knots["paces"]
    expect(clicked["tried"]).not_to include "seconds"
  end

  it "times one bow, where a step counts nothing" do
    plan = plan(materials: stash, layers: [layer("bow", "tape", id: "bow")])
    made = ->(document) { Lantern.work(document)["steps"].find { _1["id"] == "bow.make" }["minutes"] }
    answer = practised(plan, layer: "bow", seconds: 2 * 60 * made.call(plan))
    expect(made.call(answer["plan"])).to be_within(0.2).of(2 * made.call(plan))
    expect(answer["says"]).to match [/\AOne bow in \d+ s, not \d+: \d+ min more at the bench\.\z/]
  end

  it "says what is wrong where it is, and means the same in both units" do
    expect { practised(knots, layer: "none", seconds: 3) }.to raise_error(Lantern::Plan::Refused, /no such layer/)
    expect { practised(knots, layer: "knots") }.to raise_error(Lantern::Plan::Refused, /Nothing was measured/)
    expect { practised(knots, layer: "knots", seconds: -1) }.to raise_error(Lantern::Plan::Refused, /number of seconds/)
    expect { practised(knots, layer: "knots", test_piece: {"cut" => "12 in"}) }
      .to raise_error(Lantern::Plan::Refused, /cut length and its tails, both/)
    metric = Lantern::Plan::Units.change(knots, to: "cm")
    piece = {"cut" => "12 in", "tails" => "4 1/2 in"}
    answers = [knots, metric].map { practised(_1, layer: "knots", test_piece: piece) }
    takes = answers.map { Lantern.work(_1["plan"])["layers"][0]["figures"]["take_up"] }
    expect(takes[1]).to be_within(1e-3).of(takes[0] * 2.54)
    number = practised(metric, layer: "knots", test_piece: {"cut" => 30, "tails" => "11", "strips" => 5, "covers" => 6})
    expect(number["tried"]["test_piece"]).to eq("cut" => "30 cm", "tails" => "11 cm", "strips" => 5, "covers" => "6 cm")
  end

  it "measures what every covering with a test piece measures" do
    tested = Lantern::Plan::Methods.select { _1.practised.key?(:length_per_turn) }
    expect(tested.map(&:method_name)).to include(:rope_coil, :spiral_wrap, :weave, :garland)
    tested.each do |covering|
      plan = plan(form: gourd, materials: stash, layers: [any_layer(covering)])
      turn = Lantern.work(plan)["layers"][0]["figures"]["length_per_turn"]
      answer = practised(plan, layer: plan["layers"][0]["id"],
        test_piece: {"turns" => 10, "took" => "#{(turn * 10.5).round(3)} in"})
      expect(answer["says"].first)
        .to match(/\AOne of yours takes .* in, not .* in: .* more of it/), covering.title
    end
  end

  it "is kept with the material, and goes to nobody with a picture" do
    tried = [{"method" => "knotted_strips", "test_piece" => {"cut" => "12 in", "tails" => "4 in"}, "seconds" => 20,
              "on" => "2026-12-01"}]
    document = knots.merge("materials" => knots["materials"].map { _1.merge("tried" => tried) })
    expect(Lantern.work(document)["layers"]).to eq Lantern.work(knots)["layers"]
    expect(Lantern::Plan::Shared.outgoing(document)["materials"]).to all(satisfy { !_1.key?("tried") })
    expect { Lantern.work(document.merge("materials" => document["materials"].map { _1.merge("tried" => [{}]) })) }
      .to raise_error(Lantern::Plan::Refused, /tried.0.method/)
  end
end
