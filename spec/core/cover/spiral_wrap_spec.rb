# frozen_string_literal: true

RSpec.describe Lantern::Cover::SpiralWrap do
  def wrap(form, width, **options) = work(form:,
    materials: [ribbon(width:, offers: [{"length" => 3600, "price" => "9.00"}])],
    layers: [layer("spiral_wrap", "tape", **options)])

  def figures(...) = wrap(...)["layers"][0]["figures"]

  # Published: Pappus; a strip without lap lies once on the whole of a torus. On a slender ring the
  # outside edge, which decides, is hardly longer than the middle.
  it "uses the torus's area over the strip's width when nothing laps and the strip is narrow" do
    [0.1, 0.2].each do |width|
      length = figures(foam(80.5, 79.5), width, lap: 0)["length"] - 2
      expect(length * width).to be_within(0.01 * 4 * Math::PI**2 * 40 * 0.25)
        .of(4 * Math::PI**2 * 40 * 0.25 * (1 + 0.25 / 40))
    end
  end

  # The same on a thick ring: no lap at the wide edge lays as much as a tube as long as that edge.
  it "covers the wide edge on a thick ring" do
    [[14, 10], [12, 6], [20, 12]].each do |outside, inside|
      r = (outside - inside) / 4.0
      length = figures(foam(outside, inside), 0.2, lap: 0)["length"] - 2
      expect(length * 0.2).to be_within(0.01 * length * 0.2).of(2 * Math::PI * r * Math::PI * outside)
    end
  end

  # Independent of the code under test: the strip's own middle line walked in space in small steps.
  it "is as long as the strip's path in three dimensions" do
    [[14, 10, 1.5], [12, 8, 1.0], [18, 10, 2.0]].each do |outside, inside, width|
      worked = figures(foam(outside, inside), width)
      big, small, turns = (outside + inside) / 4.0, (outside - inside) / 4.0, worked["turns"]
      point = lambda do |share|
        around, along = 2 * Math::PI * turns * share, 2 * Math::PI * share
        reach = big + small * Math.cos(around)
        [reach * Math.cos(along), reach * Math.sin(along), small * Math.sin(around)]
      end
      steps = turns * 400
      walked = (0..steps).map { point.call(_1.fdiv(steps)) }.each_cons(2)
        .sum { |a, b| Math.sqrt(a.zip(b).sum { |p, q| (p - q)**2 }) }
      expect(worked["length"] - 2).to be_within(0.001 * walked).of(walked)
    end
  end

  it "leaves the lap that was wanted, or a little more, at the wide edge" do
    worked = figures(foam(14, 10), 1.5, lap: "1/4")
    expect(worked["lap_wide"]).to be_between(0.25 - 1e-4, 0.31)
    expect(worked["lap_crowded"]).to be > worked["lap_wide"]
    pitch = 14 * Math::PI / worked["turns"]
    # A strip at this pitch lies at tan a = g / p and covers w / sin a along the edge.
    expect(pitch * Math.sin(Math.atan2(2 * Math::PI, pitch))).to be_within(1e-3).of(1.5 - worked["lap_wide"])
  end

  # Common practice: ribbon 1 1/2 in round a 12 in frame with 2 1/2 in face takes between one and two 9 ft rolls.
  it "takes between one and two rolls on a common frame" do
    worked = wrap({"base" => "wire", "outside" => 12, "inside" => 7}, 1.5)
    expect(worked["layers"][0]["figures"]["length"]).to be_between(108, 216)
  end

  it "needs less strip the narrower the lap" do
    lengths = [0, 0.125, 0.25, 0.5, 0.75].map { figures(foam(14, 10), 1.5, lap: _1)["length"] }
    expect(lengths).to eq lengths.sort
    expect(lengths.uniq).to eq lengths
  end

  it "gives the fewest strips whose lengths, less their joins, reach the whole" do
    worked = work(form: foam(14, 10), materials: [cloth],
      layers: [layer("spiral_wrap", "cloth", strip_width: 1.5, strip_length: 36)])["layers"][0]
    strips, length = worked["figures"].values_at("strips", "length")
    expect(strips * 36 - (strips - 1)).to be >= length
    expect((strips - 1) * 36 - (strips - 2)).to be < length
    expect(worked["needs"]).to match([include("shape" => "pieces", "count" => strips, "length" => 36, "width" => 1.5)])
    expect(worked["figures"]["joins"]).to eq strips - 1
  end

  it "cuts short strips to one turn and its join, up to the mark" do
    worked = figures(foam(14, 10), 1.5, pieces: "short")
    expect(worked["piece_length"]).to be_between(worked["length_per_turn"] + 1, worked["length_per_turn"] + 1.125)
    expect(worked["piece_length"] * 8 % 1).to eq 0
    expect(worked["strips"]).to be_between(worked["turns"], worked["turns"] + 2)
  end

  # Common practice: two strips of 40 x 3 in go round a cane of 9 x 15 in with a face of 1 1/2 in; of a 22 in square in
  # strips of 4 3/8 in, four go round a narrow frame of 18 in, and one of five is left.
  it "winds strips nearly as wide as the girth, and wider" do
    strips = ->(form, sheet, width) {
      cloth = {"id" => "cloth", "kind" => "fabric", "name" => "Cloth", "offers" => [{**sheet, "price" => "1.00"}]}
      worked = work(form:, materials: [cloth], layers: [layer("spiral_wrap", "cloth", strip_width: width)])
      worked["layers"][0]["figures"]["strips"]
    }
    expect(strips.call({"base" => "foam", "shape" => "cane", "width" => 9, "height" => 15, "face" => 1.5},
      {"width" => 40, "length" => 3}, 3)).to eq 2
    expect(strips.call({"base" => "wire", "outside" => 18, "inside" => 15, "rails" => 2},
      {"width" => 22, "length" => 22}, 4.375)).to eq 4
    expect(figures(foam(14, 10), 7.6, lap: "1/4")["turns"]).to eq (14 * Math::PI / 7.35).ceil
  end

  # Nobody lays a strip nearly lengthwise: a turn advances by no more than it covers (common practice).
  it "advances by no more than the strip's covering width" do
    expect(figures({"base" => "foam", "outside" => 13.25, "inside" => 7.625}, 1.375, lap: "3/16")["turns"])
      .to eq (13.25 * Math::PI / (1.375 - 0.1875)).ceil
  end

  it "refuses a lap that leaves nothing, a strip its own join eats, and more turns than anyone makes" do
    expect(problems(plan(form: foam(14, 10), materials: [ribbon], layers: [layer("spiral_wrap", "tape", lap: 1.5)])))
      .to match("layers.0.lap" => /leaves nothing/)
    expect(problems(plan(form: foam(14, 10), materials: [ribbon],
      layers: [layer("spiral_wrap", "tape", strip_length: 1)])))
      .to match("layers.0.strip_length" => /used up by its own join/)
    expect(problems(plan(form: foam(1000, 900), materials: [ribbon(width: "1/16")],
      layers: [layer("spiral_wrap", "tape")]))).to match("layers.0.strip_width" => /cannot be planned/)
  end

  it "judges what it lays" do
    codes = ->(width, **more) { wrap(foam(14, 10), width, **more)["layers"][0]["findings"].map { _1["code"] } }
    expect(codes.call(1.0, lap: 0)).to include("thin_lap")
    expect(codes.call(1.0, lap: "1/4")).not_to include("thin_lap")
    expect(codes.call(1.0, lap: 0.7)).to include("bulky_inside")
    expect(codes.call(2.5)).to include("twists")
    expect(codes.call(2.5)).not_to include("puckers")
    expect(codes.call(3.5)).to include("puckers")
    expect(codes.call(2.5, pieces: "short")).not_to include("twists")
    sheer = work(form: foam(14, 10), materials: [ribbon(sheer: true)], layers: [layer("spiral_wrap", "tape")])
    expect(sheer["layers"][0]["findings"].map { _1["code"] }).to include("shows_through")
    expect(sheer["cautions"].map { _1["code"] }).to include("weave_glue", "foam_glue")
  end

  it "can be mended by what a finding says to try" do
    worked = wrap(foam(14, 10), 1.0, lap: 0)["layers"][0]["findings"].find { _1["code"] == "thin_lap" }
    mended = wrap(foam(14, 10), 1.0, **worked["try"].transform_keys(&:to_sym))["layers"][0]["findings"]
    expect(mended.map { _1["code"] }).not_to include("thin_lap")
  end
end
