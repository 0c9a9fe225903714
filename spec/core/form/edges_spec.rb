# frozen_string_literal: true

require "ffi-geos"

# What is drawn can be: no edge loops or crosses itself, and crossbars end on the rails.
RSpec.describe "Edges of a form" do
  def form(**sizes) = Lantern::Work.read(plan(form: sizes.transform_keys(&:to_s), layers: [])).form

  # GEOS says of a ring whether it is simple.
  def simple?(points)
    ring = [*points, points.first].map { |x, y| format("%.9f %.9f", x, y) }
    Geos::WktReader.new.read("LINESTRING(#{ring.join(",")})").simple?
  end

  let(:gourd) { form(base: "wire", shape: "gourd", width: "9 1/2", height: "15 1/4", face: "1 3/4") }

  it "do not loop where they meet themselves" do
    [gourd.silhouette, gourd.opening].each do |edge|
      edge.outlines.each { expect(simple?(_1)).to be true }
    end
    # GEOS's own parallel, of the inside edge: what is left when everything half a face from the middle is taken away.
    middle = gourd.path.trace(0.0, step: gourd.run / 400).map { |x, y| format("%.9f %.9f", x, y) }
    middle = [*middle.uniq, middle.first].join(",")
    inner = Geos::WktReader.new.read("POLYGON((#{middle}))").buffer(-gourd.half_face, quad_segs: 24)
    expect(gourd.opening.area).to be_within(0.01 * inner.area).of(inner.area)
  end

  # A shoulder narrower than the band: GEOS's own parallel of the middle line, and what of it is lost told.
  it "are as long as they are once what crosses itself is cut off" do
    narrow = form(base: "wire", shape: "gourd", width: 14, height: 16, face: 3.5)
    middle = narrow.path.trace(0.0, step: narrow.run / 4_000).map { |x, y| format("%.9f %.9f", x, y) }.uniq
    inner = Geos::WktReader.new.read("POLYGON((#{[*middle, middle.first].join(",")}))").buffer(-1.75, quad_segs: 64)
    expect(narrow.inside_run).to be_within(0.002 * inner.length).of(inner.length)
    expect(narrow.findings.map(&:code)).to eq ["edge_crosses"]
    expect(form(base: "wire", shape: "gourd", width: 14, height: 16, face: 3).findings).to eq []
  end

  it "are refused where nearly all of one would be a loop" do
    star = {"base" => "wire", "shape" => "star", "width" => 9, "height" => 13, "face" => 3, "points" => 4,
            "notch" => 0.6, "corners" => "rounded"}
    expect(problems(plan(form: star))["form.face"])
      .to start_with("A band 3 in across is too wide for this shape: its inside edge would cross itself.")
    expect(problems(plan(form: star.merge("face" => 0.75)))).to eq({})
  end

  it "say of a band that is too wide the widest that goes: that goes, and an eighth more does not" do
    said = 0
    each_random(40, seed: 1_129) do |random|
      points = Array.new(10) { |i|
        reach = i.even? ? 10 : random.rand(3.0..9.0)
        [reach * Math.cos(i * Math::PI / 5), reach * Math.sin(i * Math::PI / 5)]
      }
      form = {"base" => %w[wire foam].sample(random:), "shape" => "outline", "width" => 14, "points" => points,
              "face" => random.rand(2.0..8.0).round(2)}
      widest = problems(plan(form:))["form.face"].to_s[/The widest that goes is (.*) in\./, 1] or next
      said += 1
      face = widest.split.sum { Rational(_1) }.to_f
      expect(face).to be < form["face"]
      expect(problems(plan(form: form.merge("face" => face)))).to eq({})
      expect(problems(plan(form: form.merge("face" => face + 0.125)))).to have_key("form.face")
    end
    expect(said).to be > 20
  end

  it "are simple for every shape as it is typically made, and in random sizes" do
    each_random(120, seed: 311) do |random|
      name, shape = Lantern::Form.shapes.except(:composite, :outline).to_a.sample(random:)
      sizes = shape.typical.transform_values { _1.is_a?(Numeric) ? (_1 * random.rand(0.6..1.5)).round(2) : _1 }
      document = plan(form: {"base" => "wire", "shape" => name.to_s, **sizes.transform_keys(&:to_s)})
      next if problems(document).any?
      band = Lantern::Work.read(document).form
      [band.silhouette, band.opening].flat_map(&:outlines).each { expect(simple?(_1)).to be(true), "#{name} #{sizes}" }
    end
  end

  it "hold the ends of the crossbars, at corners too" do
    %i[star cross clover heart lens].each do |shape|
      typical = Lantern::Form.shapes[shape].typical.transform_keys(&:to_s).merge((shape == :cross) ? {"arm" => 4} : {})
      document = plan(form: {"base" => "wire", "shape" => shape.to_s, "sections" => 24, **typical})
      band = Lantern::Work.read(document).form
      reach = band.section.rails.last[0]
      bars = Lantern.work(document)["drawing"]["form"]["marks"].find { _1["key"] == "crossbars" }["path"]
        .split("M").drop(1).map { |bar| bar.split(/[L ]/).map(&:to_f) }
      expect(bars.size).to eq 24
      # Nearer to the middle of the band than its rail lies, no point of a rail can be.
      middle = band.path.trace(0.0, step: band.run / 2_000).map { |x, y| format("%.9f %.9f", x, y) }
      line = Geos::WktReader.new.read("LINESTRING(#{middle.join(",")})")
      bars.each do |bar|
        bar.each_slice(2) do |x, y|
          off = line.distance(Geos::WktReader.new.read("POINT(#{x} #{y})"))
          expect(off).to be_within(0.02).of(reach), "#{shape}: #{[x, y]} lies #{off} from the middle, the rail #{reach}"
        end
      end
    end
  end

  it "come of the declared parts when joined forms say nothing else" do
    joined = plan(form: {"base" => "wire", "shape" => "composite", "face" => 1.5}, materials: [rope],
      layers: [layer("rope_coil", "rope")])
    typical = Lantern::Form.shapes[:composite].typical[:parts]
    said = joined.merge("form" => joined["form"].merge("parts" => typical))
    expect(Lantern.work(joined)["form"]).to eq Lantern.work(said)["form"]
  end

  # 44 in outside and 30 in inside: the middle is 37 in, the face 14 in over a whole turn (Steiner).
  it "come of three strings alone" do
    band = Lantern::Work.read(plan.merge("form" => {"measured" => {"inside_run" => 30, "outside_run" => 44,
                                                                   "girth" => 5}})).form
    expect([band.inside_run, band.run, band.outside_run, band.girth].map { _1.round(9) }).to eq [30, 37, 44, 5]
    expect(band.face).to be_within(1e-9).of(14 / (2 * Math::PI))
  end
end
