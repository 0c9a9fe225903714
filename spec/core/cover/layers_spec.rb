# frozen_string_literal: true

require "ffi-geos"

RSpec.describe "Layers on layers" do
  it "make the next girth longer by 2 pi times what lies below (Steiner)" do
    two = work(form: foam(14, 10), materials: [rope, ribbon],
      layers: [layer("rope_coil", "rope"), layer("spiral_wrap", "tape").merge("id" => "top")])
    bare = work(form: foam(14, 10), materials: [rope, ribbon], layers: [layer("spiral_wrap", "tape")])
    girths = [two["layers"][1], bare["layers"][0]]
      .map { |each| each["working"].find { _1["key"] == "girth" }["answer"] }
    expect(girths).to eq ["8 1/4 in", "6 5/16 in"] # 2 pi + 2 pi 0.3125; 2 pi
    expect(two["layers"][1]["figures"]["turns"]).to be > bare["layers"][0]["figures"]["turns"]
  end

  it "grow every section as GEOS grows its hull" do
    section = Lantern::Form::Section
    [section.round(2.0), section.half_round(2.0), section.flat(3.0, 0.5),
      section.wire(3.0, count: 4, diameter: 0.12, dish: 0.5)].each do |each|
      points = each.front.trace(0.0, step: 0.005) + each.back.trace(0.0, step: 0.005)
      hull = Geos::WktReader.new.read("MULTIPOINT(#{points.map { |x, y| format("%.9f %.9f", x, y) }.join(",")})")
        .convex_hull
      grown = each.grown(0.3)
      expect(grown.girth).to be_within(2e-3).of(hull.buffer(0.3, quad_segs: 90).exterior_ring.length)
      expect(grown.front.at(grown.front.length)).to match(grown.back.at(0).map { be_within(1e-9).of(_1) })
      expect(grown.depth).to be_within(1e-9).of(each.depth + 0.6)
    end
  end

  it "leave room on the drawing for what sticks out of them" do
    alone, stacked = [[], [layer("rope_coil", "rope")]].map do |below|
      work(form: foam(14, 10), materials: [rope, ribbon],
        layers: below + [layer("rope_coil", "rope").merge("id" => "top")])["drawing"]["bounds"]
    end
    expect(stacked[2]).to be_within(1e-3).of(alone[2] + 0.3125)
  end

  it "cut what both ask of one material together" do
    both = work(materials: [rope],
      layers: [layer("rope_coil", "rope"), layer("seam_cord", "rope").merge("id" => "edge")])
    expect(both["materials"][0]["needed"]).to be_within(0.01)
      .of(both["layers"].sum { |each| each["needs"].sum { |need| need["length"] * (need["count"] || 1) } })
  end
end

RSpec.describe Lantern::Draw::Bare do
  def bare(form, *layers)
    Lantern::Work.read(plan(form:, materials: stash, layers:)).bare
  end

  let(:ring) { foam(14, 10) }

  it "finds everything bare where nothing lies, and nothing under a panel" do
    expect(bare(ring).covered).to eq 0
    expect(bare(ring, layer("panel", "cloth")).front).to eq 1
    expect(bare(ring, layer("panel", "cloth")).back).to eq 0
    expect(bare(ring, layer("panel", "cloth", share: 0.5)).front).to be_within(0.02).of(0.5)
  end

  # Where the sum says that turns lap, at least 995 of 1000 places are under a strip.
  it "finds a lapped spiral covering its form, front and back, whatever its shape bends like" do
    (Lantern::Form.shapes.keys - %i[outline composite star cross lens heart]).each do |shape|
      sizes = Lantern::Form.shapes[shape].typical.transform_keys(&:to_s)
      seen = bare({"base" => "foam", "shape" => shape.to_s, **sizes}, layer("spiral_wrap", "tape", lap: "1/8"))
      expect(seen.front).to be >= 0.995, "#{shape}: #{seen.front}"
      expect(seen.back).to be >= 0.99, "#{shape}: #{seen.back}"
    end
  end

  # At a sharp corner turns fan: all that shows lies there.
  it "finds what shows under a lapped spiral at the corners, and nowhere else" do
    %i[star cross lens heart outline].each do |shape|
      sizes = Lantern::Form.shapes[shape].typical.transform_keys(&:to_s)
      sizes["arm"] = 4 if shape == :cross
      read = Lantern::Work.read(plan(form: {"base" => "foam", "shape" => shape.to_s, **sizes}, materials: stash,
        layers: [layer("spiral_wrap", "tape", lap: "1/8")]))
      corners = read.form.path.pieces.map { _1.at(0) }
      patches = read.bare.patches
      expect(patches.size).to be < 60
      expect(patches.map { |x, y| corners.map { |cx, cy| Math.hypot(x - cx, y - cy) }.min })
        .to all(be < read.form.face + 1)
    end
  end

  # Coils a thickness wide leave as much of the outside edge as the sum says is gap.
  it "agrees with the gap that the sum of a rope coil gives" do
    worked = work(form: ring, materials: stash,
      layers: [layer("rope_coil", "rope", school: "even")])["layers"][0]["figures"]
    seen = bare(ring, layer("rope_coil", "rope", school: "even")).thirds
    pitch_wide = worked["gap_wide"] + 0.25
    expect(1 - seen[:outside]).to be_within(0.06).of(worked["gap_wide"] / pitch_wide)
    expect(seen[:inside]).to be > seen[:middle]
    expect(seen[:middle]).to be > seen[:outside]
  end

  it "finds as much covered as GEOS does under the union of all turns" do
    read = Lantern::Work.read(plan(form: ring, materials: stash, layers: [layer("garland", "tape", pitch: 3)]))
    turns = read.layers.flat_map(&:lies).flat_map(&:front)
    reader = Geos::WktReader.new
    strips = turns.map { |item|
      reader.read(
          "POLYGON((#{(item[:points] + item[:points].first(1)).map { |x, y| format("%.9f %.9f", x, y) }.join(",")}))"
        )
        .buffer(0)
    }.reduce { _1.union(_2) }
    circle = ->(radius) { reader.read("POINT(0 0)").buffer(radius, quad_segs: 180) }
    band = circle.call(7).difference(circle.call(5))
    geos = strips.intersection(band).area / band.area
    expect(described_class.new(read.form, read.layers.flat_map(&:lies), across: 25).front).to be_within(0.02).of(geos)
  end
end
