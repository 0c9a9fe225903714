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

  def because(id, ...) = step(id, ...)["because"]

  it "says after which step each comes, and why" do
    layers = [layer("hanger", "rope", id: "h"), layer("rope_coil", "rope"), layer("bow", "tape", id: "b"),
      layer("backing", "felt", id: "felt")]
    given = {materials: [rope, ribbon(width: 1), cloth(id: "felt")], layers:}
    expect(because("one.coil", **given)).to eq ["After “Fit the hanger”: what hides beneath it comes first."]
    expect(because("one.fill", **given)).to match [/After “Coil the cord.*: they are cut from what each length leaves/]
    expect(because("b.make", **given)).to eq ["After “Push in the fillers”: it sits on the covering."]
    expect(because("felt.back", **given)).to match [/: it hides what shows behind/]
    expect(because("b.fix", **given)).to be_nil
    expect(because("h.hang", **given)).to be_nil
    ends = {**given, layers: [layer("hanger", nil, id: "h", kind: "rope_ends", of: "one"), layer("rope_coil", "rope")]}
    expect(because("h.hang", **ends)).to match [/After “Push in the fillers”: it is joined by its last row/]
  end

  it "makes what something sits on before that, wherever the plan has them, and names what goes round in a circle" do
    upon = ->(id, on) { layer("bow", "tape", id:, kind: "shoelace", on:).compact }
    given = ->(*layers) { {form: foam(14, 10), materials: [ribbon(width: 1)], layers:} }
    turned = given.call(upon.call("top", "under"), upon.call("middle", nil), upon.call("under", nil))
    expect(steps(**turned).filter_map { _1["layer"] }.uniq).to eq %w[middle under top]
    expect(because("top.make", **turned)).to match [/: it sits on it/]
    circle = plan(**given.call(upon.call("a", "b"), upon.call("b", "c"), upon.call("c", "a")))
    expect(problems(circle)["layers.0.on"])
      .to eq "It would sit on itself: the bow (a) on the bow (b), that on the bow (c), that on the bow (a). One of " \
        "them has to sit on the form."
  end

  # Minutes between two coats, or until paste or glue holds: from memory.
  it "waits while a coat dries, which is no work, and says what can be made up meanwhile" do
    paint = {"id" => "paint", "kind" => "coat", "name" => "White paint",
             "offers" => [{"count" => 1, "price" => "4.00"}]}
    layers = [layer("coat", "paint", id: "c", coats: 2), layer("bow", "tape", id: "b"),
      layer("bow", "tape", id: "tied", kind: "shoelace", at: 2)]
    worked = work(form: foam(14, 10), materials: [paint, ribbon(width: 1)], layers:)
    coats = worked["steps"].select { _1["layer"] == "c" }
    expect(coats).to match [include("waits" => 60, "meanwhile" => ["b.make"])] * 2
    expect(worked["minutes"]).to eq worked["steps"].sum { _1["minutes"] }.round
    pressed = Lantern.work(example_plan("door-15-blooms"))["steps"].find { _1["waits"] }
    expect(pressed).to include("title" => "Press Sheet moss on the form", "waits" => 120, "meanwhile" => [])
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
