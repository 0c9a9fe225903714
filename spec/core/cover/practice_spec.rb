# frozen_string_literal: true

# What makers know from doing it; each case is common practice.
RSpec.describe "Coverings, against what makers know" do
  def worked(**rest) = work(**rest)["layers"].last

  let(:burlap) {
    {"id" => "net", "kind" => "mesh", "name" => "Burlap", "width" => 18,
     "offers" => [{"length" => "9 ft", "price" => "5.00"}]}
  }

  it "folds three loops of 5 in from 31 in; eighteen strips are 46 1/2 ft" do
    layer = worked(form: {"sections" => 6}, materials: [ribbon(width: 2.5, wired: true)],
      layers: [layer("pushed_folds", "tape")])
    expect(layer["figures"]).to include("piece_length" => 31, "pieces" => 18, "length" => 46.5 * 12)
    expect(layer["findings"]).to eq []
  end

  it "takes 9 ft of burlap once round twelve ties at 9 in a loop, and another roll for the next rail" do
    frame = {"rails" => 2, "outside" => 12, "inside" => 8, "ties" => 12}
    one = work(form: frame, materials: [burlap], layers: [layer("tied_loops", "net", rails: 1)])
    expect(one["layers"][0]["figures"]).to include("pieces" => 12, "length" => 108)
    expect(worked(form: frame, materials: [burlap], layers: [layer("tied_loops", "net")])["figures"]["length"])
      .to eq 216
    expect(worked(form: frame.except("ties"), materials: [burlap], layers: [layer("tied_loops", "net")])["findings"]
      .map { _1["code"] }).to include "no_ties"
  end

  it "opens no second roll of burlap for one round, nor a third for two: the loop is what gives" do
    frame = {"rails" => 2, "outside" => 12, "inside" => 8, "ties" => 12}
    rolls = ->(rails) {
      work(form: frame, materials: [burlap], layers: [layer("tied_loops", "net", rails:)])["materials"][0]["buy"]
    }
    expect([1, 2].map { rolls.call(_1)[0]["count"] }).to eq [1, 2]
  end

  it "weaves a 13 in clover of three rails, its stem wrapped, from four to five packages of 8 ft" do
    cord = rope(diameter: 0.3125, offers: [{"length" => 96, "price" => "3.00"}])
    # The face that makes half as many passes leave gaps of about an inch, as makers say of such frames.
    clover = {"base" => "wire", "shape" => "clover", "width" => 13, "face" => 3, "rails" => 3}
    worked = work(form: clover, materials: [cord],
      layers: [layer("weave", "rope"), layer("stem_wrap", "rope").merge("id" => "stem")])
    expect(worked["materials"][0]["buy"][0]["count"]).to be_between(4, 5)
    # Half as many passes would gape by about an inch.
    expect(2 * (worked["layers"][0]["figures"]["gap_wide"] + 0.3125) - 0.3125).to be_within(0.25).of(1)
  end

  it "lays rows round both sides of the upper 6 in of a 9 x 14 in lens with just over two packages of 9 1/2 ft" do
    lens = {"base" => "wire", "shape" => "lens", "width" => 9, "height" => 14, "face" => 1.5}
    cord = rope(diameter: 0.3125, offers: [{"length" => "9 1/2 ft", "price" => "3.00"}])
    rows = worked(form: lens, materials: [cord],
      layers: [layer("rope_rows", "rope", start: 0, stop: 6, round_back: true)])
    expect(rows["figures"]["length"] / 114).to be_between(2.0, 2.3)
  end

  it "ends a weave sooner where the cord is hard" do
    passes = ->(**more) { worked(materials: [rope], layers: [layer("weave", "rope", **more)])["figures"]["passes"] }
    expect(passes.call).to eq 2 * (8 * Math::PI / 0.3125).floor
    expect(passes.call(stiffness: 1.6)).to be < 0.8 * passes.call
  end

  it "lays nine coils of an inch rope in a 4 in opening, not twelve" do
    inch = worked(form: {"base" => "foam", "outside" => 8, "inside" => 4}, materials: [rope(diameter: 1)],
      layers: [layer("rope_coil", "rope", school: "even")])
    expect(inch["figures"]["turns"]).to eq 9
  end

  it "knots six to ten sheer strips of 6 in a section on the second rail of a 12 in frame, eighty in twenty minutes" do
    sheer = work(form: {"outside" => 12, "inside" => 7, "rails" => 3},
      materials: [ribbon(width: 6, sheer: true)], layers: [layer("knotted_strips", "tape", rail: 2)])
    figures = sheer["layers"][0]["figures"]
    expect(figures["per_section"]).to be_between(6, 10)
    expect(sheer["steps"].select { %w[cut one.knot].include?(_1["id"]) }.sum { _1["minutes"] } / figures["tied"] * 80)
      .to be_within(5).of(20)
  end

  it "winds a 12 in frame of a 2 1/2 in face in 1 1/2 in ribbon from one to two rolls of 9 ft" do
    wound = work(form: {"outside" => 12, "inside" => 7, "rails" => 3}, materials: [ribbon],
      layers: [layer("spiral_wrap", "tape")])
    expect(wound["layers"][0]["figures"]["length"]).to be_between(108, 216)
    expect(wound["materials"][0]["buy"][0]["count"]).to eq 2
  end

  it "cuts twelve bows of 18 in from two 9 ft rolls, nothing usable left, and twelve cords of 12 in" do
    twelve = work(materials: [ribbon, rope(diameter: 0.1, offers: [{"length" => 144, "price" => "1.00"}])],
      layers: [layer("row_of", "tape", count: 12,
        recipe: [{"material" => "tape", "length" => 18}, {"material" => "rope", "length" => 12}])])
    tape, cord = twelve["materials"]
    expect(tape["buy"]).to match [include("count" => 2)]
    expect(tape["left"]).to eq []
    expect(tape["cutting"].map { |bar| bar["cuts"].sum { _1["count"] } }).to eq [6, 6]
    expect(cord["buy"]).to match [include("count" => 1)]
  end

  it "gets four 6 in squares from a 12 in sheet, and sets nineteen or twenty round a 14 in board ring, half as many " \
    "above" do
    sheet = cloth("offers" => [{"width" => 12, "length" => 12, "price" => "1.00"}])
    ring = work(form: {"base" => "board", "outside" => 14, "inside" => 8}, materials: [sheet],
      layers: [layer("cones", "cloth", spare: 0, layers: 1)])
    expect(ring["layers"][0]["figures"]["repeats"]).to be_between(19, 20)
    expect(ring["materials"][0]["buy"][0]["count"]).to eq 5
    expect(worked(form: {"base" => "board", "outside" => 14, "inside" => 8}, materials: [sheet],
      layers: [layer("cones", "cloth", spare: 0)])["needs"].map { _1.values_at("count", "width", "length") })
      .to eq [[20, 6, 6], [10, 4, 6]]
  end

  it "puts twelve bundles round, three to a quarter, 8 in of wire each" do
    wire = {"id" => "wire", "kind" => "wire", "name" => "Wire", "diameter" => 0.03,
            "offers" => [{"length" => 120, "price" => "1.00"}]}
    twelve = work(materials: [burlap, wire],
      layers: [layer("row_of", "net",
        recipe: [{"material" => "net", "length" => 10, "count" => 3}, {"material" => "wire", "length" => 8}])])
    expect(twelve["layers"][0]["needs"].map { _1.values_at("material", "count", "length") }).to eq [["net", 36, 10],
      ["wire", 12, 8]]
  end

  it "lets a rope's rows end half an inch past each side, and says which are hard to hold" do
    square = {"base" => "board", "shape" => "outline", "width" => 10, "face" => 2,
              "points" => [[0, 0], [8, 0], [8, 8], [0, 8]]}
    side = worked(form: square, materials: [rope(diameter: 0.5)],
      layers: [layer("rope_rows", "rope", start: 1, stop: 9)])
    expect(side["figures"]).to include("rows" => 16, "length" => 16 * 11)
    round = worked(form: square, materials: [rope(diameter: 0.5)],
      layers: [layer("rope_rows", "rope", start: 1, stop: 9, round_back: true)])
    expect(round["figures"]["length"]).to eq 16 * (20 + 2 * 0.1875)
    expect(round["findings"].map { _1["code"] }).to include "hard_to_hold"
  end

  it "closes four over and two under only in sixes" do
    layer = worked(materials: [rope, ribbon], layers: [layer("rope_inlay", "rope", ribbon: "tape")])
    expect(layer["figures"]).to include("turns" => 78, "repeats" => 13)
    expect(layer["needs"].map { _1["material"] }).to eq %w[rope tape]
  end

  # Common practice, and from memory where it says so.
  describe "of hands and what they use" do
    it "winds an arc of fourteen short strips in about ten minutes" do
      arc = ->(degrees) {
        worked(form: {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 2, "degrees" => degrees},
          materials: [ribbon(width: 1.5)], layers: [layer("spiral_wrap", "tape", pieces: "short")])
      }
      degrees = (60..300).find { arc.call(_1)["figures"]["strips"] == 14 }
      expect(arc.call(degrees)["minutes"]).to be_between(8, 13)
    end

    it "takes as long over a panel or a row as that is long" do
      felt = cloth(id: "felt", offers: [{"width" => 60, "length" => 60, "price" => "9.00"}])
      minutes = ->(size, material, method) {
        worked(form: {"base" => "wire", "shape" => "oval", "width" => size, "height" => size, "face" => 1.5},
          materials: [material], layers: [layer(method, material["id"])])["minutes"]
      }
      small, large = [8, 32].map { minutes.call(_1, felt, "panel") }
      expect([small, large]).to match [be_between(10, 20), be_between(30, 50)]
      rows = [8, 32].map { minutes.call(_1, rope(diameter: 0.5), "rope_rows") }
      # Four times as many rows, each four times as long: more than four times, less than sixteen.
      expect(rows[1] / rows[0]).to be_between(5, 14)
    end

    it "glues the seams of thirty cones with about eleven small sticks" do
      cones = ->(base_width) {
        work(form: foam(14, 9), materials: [cloth], layers: [layer("cones", "cloth", base_width:)])
      }
      set = ->(found) { found["steps"].sum { |step| (step["unit"] == "cones") ? step["count"] : 0 } }
      found = (12..24).map { cones.call(_1 / 8.0) }.min_by { (set.call(_1) - 30).abs }
      expect(found["supplies"]["sticks"] * 30.0 / set.call(found)).to be_between(9.5, 12.5)
    end

    it "catches a round of twelve loops from one length of cloth, whatever it is sold as" do
      burlap = cloth(offers: [{"width" => 18, "length" => 108, "price" => "4.00"}])
      strips = ->(rails) {
        work(form: {"rails" => 4, "outside" => 14, "inside" => 8, "ties" => 12}, materials: [burlap],
          layers: [layer("tied_loops", "cloth", loop_length: 9, rails:)])["materials"][0]["buy"][0]["count"]
      }
      expect((1..4).map { strips.call(_1) }).to eq [1, 2, 3, 4]
    end

    it "closes the points of a heart that is woven, without being told" do
      heart = ->(**more) {
        worked(form: {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2},
          materials: [rope], layers: [layer("weave", "rope", **more)])
      }
      bare = ->(found) { found["bare"].map { _1["wide"] }.max || 0 }
      untold, none = heart.call, heart.call(fan: 0)
      expect([bare.call(none), bare.call(untold)]).to match [be > 2, be < 1.1]
      # Passes over a point leave out the rails near it, and are shorter than those across the face.
      more = (untold["figures"]["length"] - none["figures"]["length"]) / untold["figures"]["fanned"]
      expect(more / untold["figures"]["length_per_turn"]).to be_between(0.3, 0.9)
    end
  end

  # Common practice: moss is pressed into glue, paper is pasted, and a moss green paint is brushed on.
  it "takes a coat for what its name says, where nobody says its sort" do
    {"Sheet moss" => "Press %s on the form", "Paper napkins" => "Paste %s on the form",
     "Moss green paint" => "Paint the form with %s", "Primer" => "Paint the form with %s"}.each do |name, title|
      coat = {"id" => "coat", "kind" => "coat", "name" => name, "offers" => [{"count" => 1, "price" => "3.00"}]}
      titles = work(materials: [coat], layers: [layer("coat", "coat")])["steps"].map { _1["title"] }
      expect(titles).to include format(title, name)
    end
  end
end
