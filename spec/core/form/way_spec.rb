# frozen_string_literal: true

RSpec.describe Lantern::Form::Way do
  def cord = rope(diameter: 0.25)

  def heart = {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2}

  def ring = foam(14, 10)

  def of(form, *layers)
    Lantern.work(plan(form:, materials: [cord, ribbon(width: 1.5)], layers:))
  end

  def coil(**more) = layer("rope_coil", "rope", **more)

  # A quarter of a ring has a quarter of its run, and of its coils to the one that the end cuts off.
  it "gives a quarter of a ring a quarter of everything" do
    whole = of(ring, coil)["layers"][0]["figures"]
    quarter = of(ring, coil(from: 1, to: 4))["layers"][0]["figures"]
    expect(quarter["turns"]).to be_between(whole["turns"] / 4 - 1, whole["turns"] / 4)
    expect(quarter["length_per_turn"]).to be_within(0.01).of(whole["length_per_turn"])
    expect(quarter["gap_wide"]).to be_within(0.02).of(whole["gap_wide"])
  end

  it "lies where it says, by the clock, past twelve too" do
    [[2, 5], [10, 1], [6.5, 11.25]].each do |from, to|
      lies = of(ring, coil(from:, to:))["drawing"]["layers"].find { _1["unit"] == "coils" }["front"]
      hours = lies.map { |item|
        x, y = item["points"].each_slice(2).to_a.transpose.map { _1.sum / 2 }
        (Math.atan2(x, -y) * 6 / Math::PI - from) % 12
      }
      # Half a coil's way off, at the most.
      expect(hours).to all(be < (to - from) % 12)
      expect(hours.max).to be > (to - from) % 12 - 0.15
    end
  end

  it "leaves nothing bare where two coverings meet, all round, at points too" do
    [ring, heart].product([[12, 6], [3, 9], [1, 7]]) do |form, (from, to)|
      worked = Lantern::Work.read(plan(form:, materials: [cord, ribbon(width: 1.5)],
        layers: [coil(from:, to:), layer("spiral_wrap", "tape", from: to, to: from).merge("id" => "tape")]))
      lengths = worked.layers.map { _1.form.path.length }
      expect(lengths.sum).to be_within(1e-6).of(worked.form.path.length)
      expect(worked.layers.map { worked.covered(_1).places }).to eq [[], []]
      # Looked at as a whole: what shows are the gaps between coils, none of them wider than is accepted.
      seen = Lantern::Draw::Bare.new(worked.form, worked.layers.flat_map(&:lies))
      expect(seen.front).to be > 0.9
    end
  end

  # The stretch past the corner is shorter than the tight edge loses there between straight legs.
  it "closes the notch it ends at, whatever the cord" do
    [0.25, 0.3, 0.3125].each do |thick|
      worked = Lantern::Work.read(plan(form: heart, materials: [rope(diameter: thick)],
        layers: [coil(from: 6, to: 12)]))
      expect([thick, worked.covered(worked.layers.first).places.map(&:where)]).to eq [thick, []]
      expect(worked.layers.first.form.stretches.legs.last.run).to be < 0.01
    end
  end

  it "makes one join do for both where they meet" do
    alone = of(ring, layer("spiral_wrap", "tape", from: 6, to: 12))["layers"][0]["figures"]["length"]
    both = of(ring, coil(from: 12, to: 6), layer("spiral_wrap", "tape", from: 6, to: 12).merge("id" => "tape"))
    expect(both["layers"][1]["figures"]["length"]).to be_within(1e-6).of(alone - 2)
    expect(both["steps"].map { _1["says"] }.grep(/Where it meets the rope coil/).size).to eq 1
  end

  it "does not lie on what is on another part of the way, and lies on what is under it" do
    girth = lambda do |second|
      of(ring, coil(from: 12, to: 6), second.merge("id" => "second"))["layers"][1]["figures"]["length_per_turn"]
    end
    bare = of(ring, coil(from: 6, to: 12))["layers"][0]["figures"]["length_per_turn"]
    expect(girth.call(coil(from: 6, to: 12))).to be_within(1e-6).of(bare)
    # Round a cord 1/4 in thick the girth is 2 pi / 4 more (Steiner).
    expect(girth.call(coil(from: 12, to: 6))).to be_within(0.02).of(bare + 2 * Math::PI * 0.25)
  end

  it "takes lengths from its start on an open form, in the plan's units and in its own" do
    arc = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 180}
    run = of(arc)["form"]["run"]
    first = of(arc, coil(from: 0, to: "6 in"))["layers"][0]["figures"]
    last = of(arc, coil(from: run - 6))["layers"][0]["figures"]
    expect(first["turns"]).to eq last["turns"]
    expect(first["pitch"] * first["turns"]).to be_within(1e-3).of(6)
    switched = Lantern::Plan::Units.change(plan(form: arc, materials: [cord], layers: [coil(from: 2, to: 6)]), to: "cm")
    expect(switched["layers"][0].values_at("from", "to")).to eq [5.08, 15.24]
    closed = Lantern::Plan::Units.change(plan(materials: [cord], layers: [coil(from: 2, to: 6)]), to: "cm")
    expect(closed["layers"][0].values_at("from", "to")).to eq [2, 6]
  end

  it "covers one part of joined forms alone" do
    joined = {"base" => "foam", "shape" => "composite", "face" => 1.5, "parts" => [
      {"shape" => "ring", "outside" => 12, "inside" => 9}, {"shape" => "ring", "outside" => 8, "inside" => 5, "y" => 6}
    ]}
    worked = of(joined, coil(part: 2))
    alone = of({"base" => "foam", "outside" => 8, "inside" => 5}, coil)
    expect(worked["layers"][0]["figures"]).to eq alone["layers"][0]["figures"]
  end

  it "refuses what cannot be, at the right place" do
    arc = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 180}
    said = ->(form, **more) { problems(plan(form:, materials: [cord], layers: [coil(**more)])) }
    expect(said.call(ring, from: "4 in")).to match("layers.0.from" => /say an hour/)
    expect(said.call(ring, from: 13)).to match("layers.0.from" => /from 0 to 12/)
    expect(said.call(ring, part: 2)).to match("layers.0.part" => /has no parts/)
    expect(said.call(arc, from: 5, to: 2)).to match("layers.0.to" => /must end after it begins/)
    expect(said.call(arc, to: "9 ft")).to match("layers.0.to" => /past its end/)
  end
end
