# frozen_string_literal: true

require "ffi-geos"

RSpec.describe Lantern::Form::Silhouette do
  def band(shape)
    sizes = Lantern::Form.shapes.fetch(shape).typical.transform_keys(&:to_s)
    sizes["arm"] = 4 if shape == :cross
    Lantern::Work.read(plan(form: {"base" => "foam", "shape" => shape.to_s, **sizes})).form
  end

  def geos(points)
    Geos::WktReader.new.read(
      "POLYGON((#{(points + [points.first]).map { |x, y| format("%.9f %.9f", x, y) }.join(",")}))"
    )
  end

  let(:closed) { %i[ring oval heart clover gourd star cross egg lens outline] }

  # GEOS's buffer with flat ends, of a line as much shorter or longer as it is narrower or wider.
  it "keeps its distance from the edges and the ends of open bands, to a hundredth" do
    {arc: [-0.5, -0.25, 0, 0.5, 1], cane: [-0.3, 0, 0.5]}.each do |shape, distances|
      form = band(shape)
      points = form.path.trace(0.0, step: form.path.length / 2000, least: 40)
      distances.each do |beyond|
        ends = [[points[0], points[1]], [points[-1], points[-2]]].map { |(x, y), (to_x, to_y)|
          long = Math.hypot(to_x - x, to_y - y)
          [x + (x - to_x) / long * beyond, y + (y - to_y) / long * beyond]
        }
        kept = beyond.negative? ? form.path.shortened(-beyond, -beyond).trace(0.0, step: 0.01, least: 40) :
          [ends[0], *points, ends[1]]
        line = Geos::WktReader.new.read("LINESTRING(#{kept.map { format("%.9f %.9f", *_1) }.join(",")})")
        whole = line.buffer(form.half_face + beyond, quad_segs: 60, endcap: :flat)
        mine = described_class.of(form, form.half_face + beyond)
        expect([shape, beyond, geos(mine.outlines[0]).sym_difference(whole).area / whole.area])
          .to match [shape, beyond, be < 0.01]
      end
    end
  end

  it "is as large as GEOS's band, out to the outside edge and in to the inside one, to a thousandth" do
    closed.each do |shape|
      form = band(shape)
      middle = geos(form.path.trace(0.0, step: form.path.length / 3000, least: 40))
      {silhouette: form.half_face, opening: -form.half_face}.each do |name, across|
        area = middle.buffer(across, quad_segs: 90).area
        expect(form.public_send(name).area).to be_within(area * 2e-3).of(area), "#{shape}, #{name}"
      end
    end
  end

  it "is crossed by level lines where GEOS cuts it" do
    closed.each do |shape|
      whole = band(shape).silhouette
      polygon = geos(whole.outlines.first).buffer(0)
      each_random(6) do |random|
        y = whole.box[1] + whole.height * random.rand(0.05..0.95)
        cut = polygon.intersection(Geos::WktReader.new.read("LINESTRING(-99 #{y}, 99 #{y})"))
        chords = whole.chords(y)
        expect(chords.sum { |from, to| to - from }).to be_within(1e-6).of(cut.length), shape.to_s
        expect(chords).to eq chords.sort
      end
    end
  end

  it "is cut by a level line into parts that make the whole" do
    closed.each do |shape|
      whole = band(shape).silhouette
      level = whole.box[1] + whole.height * 0.4
      below = described_class.new(whole.below(level))
      upside = described_class.new([whole.outlines.first.map { |x, y| [x, -y] }])
      above = described_class.new(upside.below(-level))
      expect(below.area + above.area).to be_within(whole.area * 1e-9).of(whole.area), shape.to_s
      expect(below.box[1]).to be >= level - 1e-9
    end
  end

  it "of an open form is its band" do
    arc = band(:arc)
    expect(arc.silhouette.area).to be_within(arc.run * arc.face * 1e-3).of(arc.run * arc.face)
  end
end

RSpec.describe Lantern::Form::Path do
  def path(shape, **more)
    sizes = Lantern::Form.shapes.fetch(shape).typical.merge(more).transform_keys(&:to_s)
    sizes["arm"] = 4 if shape == :cross
    Lantern::Work.read(plan(form: {"base" => "foam", "shape" => shape.to_s, **sizes})).form.path
  end

  let(:shapes) { Lantern::Form.shapes.keys - %i[composite] }

  it "keeps its lengths when it is turned, mirrored and moved" do
    shapes.each do |shape|
      before = path(shape)
      after = before.placed(x: 3.0, y: -2.0, turn: 0.7, mirror: true)
      [:length, [:wide, 0.5], [:crowded, 0.5], [:edge, 0.5], [:edge, -0.5]]
        .each { expect(after.public_send(*_1)).to be_within(1e-6).of(before.public_send(*_1)), "#{shape} #{_1}" }
      expect(after.closed?).to eq before.closed?
    end
  end

  it "is as long as what is cut off it and what is left" do
    each_random(40) do |random|
      whole = path(shapes.sample(random:))
      from, to = whole.length * random.rand(0.0..0.4), whole.length * random.rand(0.0..0.4)
      left = whole.shortened(from, to)
      expect(left.length).to be_within(1e-6).of(whole.length - from - to)
      expect(left.at(0)).to match(whole.at(from).map { be_within(1e-6).of(_1) })
      expect(left.at(left.length)).to match(whole.at(whole.length - to).map { be_within(1e-6).of(_1) })
    end
  end

  it "lies in its box, and touches every side of it" do
    shapes.each do |shape|
      each = path(shape)
      xs, ys = each.trace(0.0, step: each.length / 5000, least: 60).transpose
      traced = [xs.min, ys.min, xs.max, ys.max]
      expect(each.box).to match(traced.map { be_within(2e-3).of(_1) }), shape.to_s
    end
  end

  it "is crossed by turns that get as far along the wide edge as they say, by walking it" do
    shapes.each do |shape|
      half = 0.5
      lie = Lantern::Form::Stretches.of(path(shape), half)
      expect(lie.wide).to be_within(1e-9).of(path(shape).wide(half))
      spans = (0..4000).map { lie.span(lie.wide * 0.999999 * _1 / 4000) }
      expect(spans.map(&:along).each_cons(2).all? { |a, b| b >= a - 1e-9 || b < a - path(shape).length / 2 }).to be true
      # Step by step whichever end of it goes the farther.
      walked = spans.each_cons(2).sum { |a, b|
        [[a.inner, b.inner], [a.outer, b.outer]].map { |(ax, ay), (bx, by)| Math.hypot(bx - ax, by - ay) }.max
      }
      jumps = path(shape).strands.size - 1
      expect(walked).to be_within(lie.wide * 0.002 + jumps * 40).of(lie.wide), shape.to_s
    end
  end
end
