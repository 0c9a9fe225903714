# frozen_string_literal: true

RSpec.describe Lantern::Trim::Placed do
  def heart(**more) = layer("attach", "wood", id: "heart", what: "wooden heart", at: "middle", **more)

  def wood = {"id" => "wood", "kind" => "piece", "name" => "Wooden heart", "offers" => [{"count" => 1, "price" => "2"}]}

  def trimmed(*layers, form: {}) = plan(form:, materials: [rope(diameter: 0.1), ribbon(wired: true), wood], layers:)

  it "hangs a thing in the opening on a cord with its drop" do
    worked = Lantern.work(trimmed(heart(drop: 3, cord: "rope")))
    hung = worked["layers"][0]
    # Round the band at the top, down and a knot: twice the drop and 4 in.
    expect(hung["needs"].find { _1["material"] == "rope" }).to include("count" => 1, "length" => 10)
    lies = worked["drawing"]["layers"]
    # The opening is 8 in across: its top is 4 in above the middle.
    outline = lies.find { _1["kind"] == "tag" }
    xs, ys = outline["front"][0]["points"].each_slice(2).to_a.transpose
    expect([xs.sum / xs.size, ys.sum / ys.size]).to match [be_within(0.01).of(0), be_within(0.01).of(-1)]
    expect(outline["written"]).to match [include("words" => "wooden heart", "at" => [0, be_within(0.2).of(-1)])]
    expect(lies.find { _1["kind"] == "cord" }["front"][0]["points"]).to match [0, be_within(0.01).of(-4), 0, -1]
    expect(worked["steps"].find { _1["layer"] == "heart" }["title"]).to eq "Hang the wooden heart in the middle"
  end

  it "refuses a drop past the opening, and a middle where there is none" do
    expect(problems(trimmed(heart(drop: 9)))).to match("layers.0.drop" => /opening is 8 in high/)
    arc = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 180}
    expect(problems(trimmed(heart, form: arc))).to match("layers.0.at" => /form is open/)
  end

  describe "bow on bow" do
    let(:under) { layer("bow", "tape", id: "under", loop_size: 4, at: 5) }

    it "sits where the one beneath sits, an inch smaller a side" do
      worked = Lantern.work(trimmed(under, layer("bow", "tape", id: "top", on: "under")))
      expect(worked["layers"][1]["settings"]).to include("at" => "5.0", "loop_size" => "3 in")
      expect(worked["layers"][1]["findings"].map { _1["code"] }).not_to include("hides_beneath", "same_place")
      hidden = Lantern.work(trimmed(under, layer("bow", "tape", id: "top", on: "under", loop_size: 4)))
      expect(hidden["layers"][1]["findings"].find { _1["code"] == "hides_beneath" }["try"]).to eq("loop_size" => "3 in")
    end

    it "goes on so, an inch a layer, however high the stack" do
      stack = [under, layer("bow", "tape", id: "second", on: "under"), layer("bow", "tape", id: "third", on: "second")]
      expect(Lantern.work(trimmed(*stack))["layers"].map { _1["settings"]["loop_size"] }).to eq ["4 in", "3 in", "2 in"]
    end

    it "shows the one beneath however small that is, and is not set on what hangs in the middle" do
      small = Lantern.work(trimmed(under.merge("loop_size" => 1), layer("bow", "tape", id: "top", on: "under")))
      expect(small["layers"][1]["settings"]["loop_size"]).to eq "1/2 in"
      expect(small["layers"][1]["findings"].map { _1["code"] }).not_to include("hides_beneath")
      expect(problems(trimmed(heart, layer("bow", "tape", id: "top", on: "heart"))))
        .to match("layers.1.on" => /hangs in the middle/)
    end

    it "is told where two things are in one place and not meant as a stack" do
      said = ->(at) {
        Lantern.work(trimmed(under, layer("bow", "tape", id: "other", at:)))["layers"][1]["findings"]
          .find { _1["code"] == "same_place" }
      }
      expect(said.call(5)["try"]).to eq("on" => "under")
      expect(said.call(7)).to be_nil
    end

    it "refuses to sit on itself, on nothing, and in a circle" do
      says = ->(*layers) { problems(trimmed(*layers)) }
      expect(says.call(under.merge("on" => "under"))).to match("layers.0.on" => /on itself/)
      expect(says.call(under.merge("on" => "none"))).to match("layers.0.on" => /no layer “none”/)
      circle = says.call(under.merge("on" => "top"), layer("bow", "tape", id: "top", on: "under"))
      expect(circle.keys).to eq %w[layers.0.on layers.1.on]
    end

    it "is wound round its centre with a band of its own" do
      worked = Lantern.work(trimmed(under.merge("centre_band" => "rope")))["layers"][0]
      expect(worked["needs"].find { _1["material"] == "rope" }["count"]).to eq 1
    end
  end
end

RSpec.describe "Names of a plan" do
  def figures(method, material, form: {}, **options)
    work(form:, materials: [material, *options.delete(:more)], layers: [layer(method, material["id"], **options)])
  end

  it "rows so many a section, or one in so many ties" do
    expect(figures("row_of", ribbon, per_section: 3)["layers"][0]["figures"]["repeats"]).to eq 36
    ties = {"rails" => 2, "outside" => 12, "inside" => 8, "ties" => 12}
    expect(figures("row_of", ribbon, form: ties, every: 2)["layers"][0]["figures"]["repeats"]).to eq 12
    expect(problems(plan(materials: [ribbon], layers: [layer("row_of", "tape", every: 2)])))
      .to match("layers.0.every" => /no ties/)
    expect(problems(plan(materials: [ribbon], layers: [layer("row_of", "tape", count: 3, per_section: 2)])))
      .to match("layers.0.per_section" => /not more than one/)
  end

  it "covers the ribs that are named" do
    all = figures("ribs", ribbon, form: gourd)["layers"][0]["figures"]
    some = figures("ribs", ribbon, form: gourd, which: [1, 5])["layers"][0]["figures"]
    expect([all["pieces"], some["pieces"]]).to eq [5, 2]
    expect(some["piece_length"]).to be > all["length"] / 5
    expect(problems(plan(form: gourd, materials: [ribbon], layers: [layer("ribs", "tape", which: [9])])))
      .to match("layers.0.which.0" => /no rib 9/)
  end

  it "curls tendrils from a cord of their own" do
    wired = rope(diameter: 0.1).merge("id" => "wired")
    worked = figures("stem_wrap", rope, form: gourd, tendrils: 3, tendril_material: "wired", more: [wired])
    expect(worked["layers"][0]["needs"].find { _1["material"] == "wired" }["count"]).to eq 3
  end

  it "hangs by the frame's own wire, and by a cord in an arc's two ends" do
    own = work(layers: [layer("hanger", kind: "frame")])
    expect([own["layers"][0]["needs"], own["stages"]["hang"]]).to eq [[], true]
    expect(problems(plan(form: foam(14, 10), layers: [layer("hanger", kind: "frame")])))
      .to match("layers.0.kind" => /wire of its own/)
    arc = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 180}
    expect(figures("hanger", rope, form: arc, kind: "in_holes")["layers"][0]["needs"].size).to eq 1
    expect(problems(plan(materials: [rope], layers: [layer("hanger", "rope", kind: "in_holes")])))
      .to match("layers.0.kind" => /goes round/)
  end

  it "pieces a back from sheets that are too small, and covers what scratches with a ribbon" do
    felt = {"id" => "felt", "kind" => "fabric", "name" => "Felt",
            "offers" => [{"width" => 9, "length" => 12, "price" => "1"}]}
    pieced = figures("backing", felt)["layers"][0]
    # A back of 13 1/2 in from sheets of 9 by 12 in: two by two.
    # Quarters of a band of 6 3/4 and 4 1/4 in about the middle: 6 3/4 √2 = 9.55 in long, 6 3/4 - 4 1/4 cos 45° =
    # 3.74 in high, two on a sheet. Squares of 6 3/4 in would take a sheet each.
    expect(pieced["needs"][0]).to include("count" => 4, "length" => 3.875, "width" => 9.625)
    expect(pieced["findings"].map { _1["code"] }).to include("pieced")
    expect(figures("backing", ribbon)["layers"][0]["needs"][0]["shape"]).to eq "run"
  end

  it "pulls knots to the outer edge" do
    worked = figures("knotted_strips", ribbon, knots: "outside")
    knots = worked["drawing"]["layers"].find { _1["kind"] == "knot" }["front"]
    expect(knots.map { Math.hypot(*_1["points"].first(2)) }).to all(be_within(0.05).of(7))
  end
end
