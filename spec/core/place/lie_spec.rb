# frozen_string_literal: true

require "ffi-geos"

RSpec.describe Lantern::Place::Lie do
  def drawing(name) = Lantern.work(example_plan(name))["drawing"]

  def radii(points) = points.each_slice(2).map { |x, y| Math.hypot(x, y) }

  it "lays coils from the inside edge to the outside, evenly round" do
    coils = drawing("door-7-rope-ring")["layers"][0]
    expect(coils["width"]).to eq 0.3125.round(3)
    coils["front"].each { |coil| expect(radii(coil["points"])).to match [be_within(0.01).of(4), be_within(0.01).of(7)] }
    coils["back"].each { |coil| expect(radii(coil["points"])).to match [be_within(0.01).of(7), be_within(0.01).of(4)] }
    angles = coils["front"].map { |coil| Math.atan2(coil["points"][1], coil["points"][0]) }
    expect(angles.each_cons(2).map { |a, b| (b - a) % (2 * Math::PI) }).to all(be_within(0.01).of(2 * Math::PI / 80))
  end

  # Divided by its step, the corner's level comes to a whole number that it is not: both its sides would meet line 22.
  it "reaches over as many lines as its corners lie apart, however a quotient is rounded" do
    step, level = 0.034265716241043215, 0.7538457573029508
    corners = [[0.0, 0.0], [1.0, level], [0.0, 2.0]]
    rows = Lantern::Draw::Rows.of_patches([Lantern::Place::Polygon.new(corners:)], step)
    expect(rows.area).to be_within(0.02).of(1.0)
  end

  it "joins the front of a coil to its back, and that to the next coil's front" do
    coils = drawing("door-7-rope-ring")["layers"][0]
    coils["front"].zip(coils["back"]).each { |front, back| expect(front["points"][2..]).to eq back["points"][0..1] }
    coils["back"].each_cons(2).zip(coils["front"]
      .drop(1)) { |(back, _), front|
      expect(back["points"][2..].zip(front["points"][0..1]).map { |a, b| (a - b).abs }
        .max).to be < 0.002
    }
  end

  # GEOS adds up what the strips as drawn cover of the face: independent of the sum that spaced them.
  it "covers the whole face where the sum says so, and leaves the gap where it does not" do
    face = Geos::WktReader.new.read("POINT(0 0)")
      .then { |point| point.buffer(6, quad_segs: 90).difference(point.buffer(4, quad_segs: 90)) }
    covered = lambda do |lap|
      strips = work(form: foam(12, 8), materials: [ribbon(width: 1)],
        layers: [layer("spiral_wrap", "tape", lap:)])["drawing"]["layers"][0]["front"]
      shapes = strips.map { |strip|
        strip["points"].each_slice(2)
          .to_a.then { |points|
          Geos::WktReader.new.read(
                "POLYGON((#{(points + [points[0]]).map { |p| p.join(" ") }.join(",")}))"
              ).buffer(0)
        }
      }
      shapes.reduce(:union).intersection(face).area / face.area
    end
    expect(covered.call(0.125)).to be >= 0.995
    expect(covered.call(0.4)).to be >= 0.995
  end

  it "draws what it says: moving the lap moves the turns" do
    turns = ->(lap) {
      work(form: foam(12, 8), materials: [ribbon], layers: [layer("spiral_wrap", "tape", lap:)])
        .then { [_1["layers"][0]["figures"]["turns"], _1["drawing"]["layers"][0]["front"].size] }
    }
    expect(turns.call(0.2).uniq.size).to eq 1
    expect(turns.call(0.7)[1]).to be > turns.call(0.2)[1]
  end

  it "points at the gap with its true width" do
    gap = drawing("door-7-rope-ring")["gaps"][0]
    expect(radii(gap["from"] + gap["to"])).to all(be_within(0.01).of(7))
    # 80 coils and 13 fillers share the outside edge.
    expect(gap["width"]).to be_within(1e-3).of(14 * Math::PI / 93 - 0.3125)
    expect(Math.hypot(*gap["from"].zip(gap["to"]).map { _1 - _2 })).to be_within(0.005).of(gap["width"] + 0.3125)
    expect(gap["says"]).to eq "gap 3/16 in"
  end

  it "is in the plan's own units, with the sizes on its dimension lines" do
    metric = drawing("door-22-indigo-pair")
    expect(metric["dimensions"].map { [_1["about"], _1["says"]] }).to eq [["form.inside", "20 cm"],
      ["form.outside", "30 cm"], ["form.face", "5 cm"]]
    expect(metric["bounds"].map(&:abs)).to all(be_within(0.5).of(15.3))
    expect(metric["form"]["outside"]).to match(/A15\.0 15\.0/)
    expect(metric["form"]["marks"].find { _1["key"] == "crossbars" }["path"].count("M")).to eq 8
  end

  it "sends every knot's tails as long as they are, a little foreshortened" do
    drawing("door-11-knotted-check")["layers"][0]["front"].each do |knot|
      x, y, *ends = knot["points"]
      ends.each_slice(2) { |ex, ey| expect(Math.hypot(ex - x, ey - y)).to be_within(0.01).of(2.5 * 0.8) }
    end
  end
end
