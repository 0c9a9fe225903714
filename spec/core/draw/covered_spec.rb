# frozen_string_literal: true

require "ffi-geos"

RSpec.describe Lantern::Draw::Covered do
  def cord = rope(diameter: 0.3125, offers: [{"length" => 96, "price" => "3.00"}])

  def tape = ribbon(width: 1.5)

  def shaped(shape, base = "wire", **sizes)
    typical = Lantern::Form.shapes.fetch(shape).typical.merge(sizes).transform_keys(&:to_s)
    {"base" => base, "shape" => shape.to_s, **typical}
  end

  def on(form, method, material, **options)
    Lantern::Work.read(plan(form:, materials: [material], layers: [layer(method, material["id"], **options)]))
  end

  def looked(work) = work.covered(work.layers.first)

  def geometry(kind, points)
    Geos::WktReader.new.read("#{kind}(#{points.map { |x, y| format("%.9f %.9f", x, y) }.join(",")})")
  end

  def polygon(points) = Geos::WktReader.new.read(
    "POLYGON((#{[*points, points.first].map { |x, y| format("%.9f %.9f", x, y) }.join(",")}))"
  ).buffer(0)

  # GEOS's union of all that lies there, against the same share found row by row.
  it "finds the share hidden that GEOS does, under cord and under tape" do
    [[:heart, cord, "rope_coil", {fan: 3}], [:star, cord, "rope_coil", {}], [:oval, tape, "garland", {pitch: 4}],
      [:clover, tape, "spiral_wrap", {lap: 0}]].each do |shape, material, method, options|
      work = on(shaped(shape), method, material, **options)
      layer = work.layers.first
      hidden = layer.lies.flat_map { |lie|
        lie.front.map { |item|
          lie.is_a?(Lantern::Place::Lie::Cord) ?
            geometry("LINESTRING", item[:points]).buffer(lie.width / 2, quad_segs: 24) : polygon(item[:points])
        }
      }.reduce(:union)
      band = work.form.areas.map { |area|
        area.open.reduce(polygon(area.filled[0])) { |all, open| all.difference(polygon(open)) }
      }.reduce(:union)
      expected = hidden.intersection(band).area / band.area
      layer.define_singleton_method(:closes) { form.areas } unless layer.closes
      expect(described_class.new(layer).share).to be_within(0.005).of(expected), "#{shape} #{method}"
    end
  end

  it "finds a lapped wrap closed on every shape, whatever it bends like" do
    (Lantern::Form.shapes.keys - %i[composite]).product(%w[wire foam]) do |shape, base|
      seen = looked(on(shaped(shape, base), "spiral_wrap", tape))
      expect([shape, base, seen.places.map(&:where), seen.share > 0.99]).to eq [shape, base, [], true]
    end
  end

  it "finds no bare place at a point of a heart, a star, a cross or a lens in cord" do
    {heart: {face: 2}, star: {}, cross: {}, cross_of_arms: {arm: 4}, lens: {}}.each do |shape, sizes|
      form = shaped(shape.to_s.split("_").first.to_sym, **sizes)
      expect([shape, looked(on(form, "rope_coil", cord)).places.map(&:where)]).to eq [shape, []]
    end
  end

  it "names the points that are bare when no coil fans over them, and the change it offers closes them" do
    {"rope_coil" => {fan: 0}, "weave" => {}}.each do |method, options|
      worked = ->(**more) {
        work(form: shaped(:heart, face: 2), materials: [cord], layers: [layer(method, "rope", **options, **more)])
      }
      said = worked.call
      expect(said["layers"][0]["bare"].map { _1["where"] })
        .to include("at the point at 6 o’clock", "at the point at 12 o’clock")
      expect(said["layers"][0]["bare"][0]["wide"]).to be_between(1, 3)
      expect(said["stages"]["cover"]).to be false
      found = said["layers"][0]["findings"].find { _1["code"] == "bare" }
      expect(found["says"]).to match(/At the point at (6|12) o’clock .* in of the form shows/)
      mended = worked.call(**found["try"].transform_keys(&:to_sym))
      6.times do
        still = mended["layers"][0]["findings"].find { _1["code"] == "bare" } or break
        mended = worked.call(fan: still["try"]["fan"])
      end
      expect(mended["stages"]["cover"]).to be true
    end
  end

  it "takes a gap that the maker accepts for closed, and one that is wider for bare" do
    ring = {"outside" => 14, "inside" => 8}
    expect(looked(on(ring, "rope_coil", cord)).places).to eq []
    expect(looked(on(ring, "rope_coil", cord, school: "even")).places).to eq []
    tight = on(ring, "rope_coil", cord, accepted_gap: 0.5)
    expect(looked(tight).places).to eq []
    expect(looked(tight).share).to be < looked(on(ring, "rope_coil", cord, accepted_gap: 0.05)).share
  end

  it "says nothing of what does not mean to close the form, and looks at what a panel or rows mean to close" do
    garland = work(form: shaped(:oval), materials: [tape], layers: [layer("garland", "tape")])["layers"][0]
    expect(garland.keys & %w[covered bare]).to eq %w[bare]
    expect(garland["bare"]).to eq []
    rows = work(form: shaped(:lens), materials: [cord],
      layers: [layer("rope_rows", "rope", start: 0, stop: 6)])["layers"][0]
    expect(rows["covered"]).to be > 0.97
  end

  it "stands every crossbar square across the band, beside a corner where it would fall on one" do
    %i[star heart clover cross].each do |shape|
      work = on(shaped(shape), "rope_coil", cord)
      bars = work.drawing["form"]["marks"].find { _1["key"] == "crossbars" }["path"]
      long = bars.scan(/M(\S+) (\S+)L(\S+) ([^M]+)/).map { |ends|
        x, y, to_x, to_y = ends.map(&:to_f)
        Math.hypot(to_x - x, to_y - y)
      }
      expect(long).to all be_within(0.01).of(2 * work.form.section.rails.last[0])
    end
  end
end
