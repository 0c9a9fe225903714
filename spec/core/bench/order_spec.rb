# frozen_string_literal: true

# The steps in an order that hands can follow (common practice).
RSpec.describe "The order at the bench" do
  def steps(...) = work(...)["steps"]

  def ids(...) = steps(...).map { _1["id"] }

  def step(id, ...) = steps(...).find { _1["id"] == id }

  it "cuts a hanger before it is fitted" do
    order = ids(materials: [rope], layers: [layer("rope_coil", "rope"), layer("hanger", "rope", id: "h")])
    expect(order.index("cut")).to be < order.index("h.hang")
    expect(order.index("h.hang")).to be < order.index("one.coil")
  end

  it "lays a ribbon in while the cord is coiled, in one step that counts both" do
    worked = Lantern.work(example_plan("door-1-ribbon-laid-in"))
    own = worked["steps"].select { _1["layer"] == "base" }
    expect(own.map { _1["id"] }).to eq ["base.coil"]
    expect(own[0]["pattern"].size).to be > 1
    expect(own[0]["count"]).to eq worked["layers"][0]["figures"]["turns"]
  end

  it "cuts a panel once" do
    titles = steps(form: foam(14, 10, base: "board"), materials: [cloth], layers: [layer("panel", "cloth")])
      .map { _1["title"] }
    expect(titles.grep(/\ACut/)).to eq ["Cut the panel"]
  end

  it "tells short strips from one winding" do
    says = ->(pieces) {
      step("one.wind", form: foam(14, 10), materials: [ribbon(width: 1)],
        layers: [layer("spiral_wrap", "tape", pieces:)])["says"]
    }
    expect(says.call("short")).to match(/once round, its other end/)
    expect(says.call("continuous")).not_to match(/other end/)
  end

  it "ties a bow round the band once" do
    order = steps(form: foam(14, 10), materials: [ribbon(width: 1)],
      layers: [layer("bow", "tape", kind: "shoelace", id: "b")])
    expect(order.select { _1["layer"] == "b" }.map { _1["title"] }).to eq ["Tie the bow round the band at 6 o’clock"]
  end

  it "warns of what the base is made of, and of nothing else" do
    cautions = ->(base) {
      form = (base == "wire") ? {} : foam(14, 10, base:)
      Lantern.work(plan(form:, materials: [cloth], layers: [layer("panel", "cloth")]))["cautions"].map { _1["code"] }
    }
    expect(cautions.call("wire")).to include("wire_ends")
    expect(cautions.call("wire").grep(/foam|blade/)).to eq []
    expect(cautions.call("foam")).not_to include("wire_ends")
    says = ->(base) {
      step("prepare", form: foam(14, 10, base:), materials: [rope],
        layers: [layer("rope_coil", "rope")])
    }
    expect(says.call("foam")["move"]).to eq "smooth"
    expect(says.call("foam")["says"]).not_to match(/wire/)
    expect(step("prepare", materials: [rope], layers: [layer("rope_coil", "rope")])["move"]).to eq "tape_ends"
  end
end
