# frozen_string_literal: true

# What steps use up is asked for like everything else, whoever asks.
RSpec.describe "Glue, in every question" do
  let(:glue) do
    {"id" => "glue", "kind" => "glue", "name" => "Glue sticks", "offers" => [{"count" => 3, "price" => "2.00"}]}
  end

  def glued(name, *materials, **more)
    plan(name:, materials:, layers: [layer("seam_cord", "rope", rounds: 4)], form: foam(14, 8), **more)
  end

  it "is bought for an occasion as it is for each wreath" do
    plans = %w[One Two].map { glued(_1, rope, glue) }
    worked = Lantern::Ask::Occasion.work("format" => "crisp-lantern/occasion", "version" => 1, "name" => "The walk",
      "units" => "in", "plans" => plans)
    sticks = ->(answer) { answer["materials"].find { _1["id"] == "glue" } }
    alone = sticks.call(Lantern.work(plans[0]))
    expect(alone["buy"]).not_to be_empty
    expect(sticks.call(worked)["needed"]).to be_within(1).of(2 * alone["needed"])
    # Two of 6 sticks each or so: as many packages of 3 as hold them.
    expect(sticks.call(worked)["buy"][0]["count"]).to eq (sticks.call(worked)["needed"] / 3.0).ceil
  end

  it "is reckoned with when a plan is worked backwards from too little" do
    poor = glued("Poor", rope(on_hand: [20], offers: []), glue.merge("offers" => [], "on_hand" => [1]))
    expect { Lantern::Ask::Backwards.new(poor, layer: 0).to_a }.not_to raise_error
    # The stash holds all of the cord and one stick of glue: it is the glue that says how far it goes.
    rich = glued("Rich", rope(on_hand: [4_000]), glue.merge("offers" => [], "on_hand" => [1]))
    needed = Lantern.work(rich)["materials"].find { _1["id"] == "glue" }
    expect(needed["short"]).to be > 0
    expect(Lantern::Ask::Backwards.new(rich, layer: 0).to_a.map { _1["says"] }).to all(match(/\A\S/))
  end
end
