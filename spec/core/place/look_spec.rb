# frozen_string_literal: true

require "ffi-geos"
require "json"

RSpec.describe Lantern::Place::Look do
  # What paper and screens are held to; the screens' printer reads the same file.
  let(:fixture) { JSON.parse(File.read(File.expand_path("../../support/looks.json", __dir__))) }

  def polygon(corners)
    ring = (corners + [corners.first]).map { |x, y| format("%.9f %.9f", x, y) }.join(",")
    Geos::WktReader.new.read("POLYGON((#{ring}))").buffer(0)
  end

  def item(kind)
    {cord: [[1.0, 2.0], [4.0, 6.0]], loop: [[0.0, 0.0], [3.0, 1.0]], tail: [[0.0, 0.0], [-1.0, 5.0]],
     disc: [[2.0, 2.0]], ball: [[2.0, 2.0]], tube: [[0.0, 0.0], [3.0, 1.0]], curl: [[0.0, 0.0], [3.0, 1.0]],
     sprig: [[0.0, 0.0], [3.0, 1.0]], knot: [[0.0, 0.0], [2.0, 0.0], [0.0, 2.0]],
     line: [[0.0, 0.0], [2.0, 0.0], [4.0, 1.0]]}.fetch(kind) { [[0.0, 0.0], [2.0, 0.0], [2.0, 1.0], [0.0, 1.0]] }
  end

  def lie(kind, points = item(kind))
    Lantern::Place::Lie::KINDS.fetch(kind).new(layer: "x", unit: :turns, materials: [], width: 0.5, front: [{points:}])
  end

  it "is printed on paper as on the screens, number for number" do
    fixture["lies"].each do |each|
      look = Lantern::Place::Lie::KINDS.fetch(each["kind"]).look
      expect(look.to_h).to eq each["look"]
      print = Lantern::Place::Look::Print.new(look, each["width"])
      printed = print.of(each["items"], far: each["far"]) { "#{_1}/#{_2}" }
      expect(printed.map { [_1.paint, _1.path] }).to eq each["printed"]
    end
  end

  it "is held to with every way of lying there is, seen from near and from far" do
    expect(fixture["lies"].map { _1.values_at("kind", "far") })
      .to match_array Lantern::Place::Lie::KINDS.keys.map(&:to_s).product([false, true])
  end

  # GEOS lays the marks over what the kinds say that they hide.
  it "hides what its marks lie over; what stands up or bunches, no less" do
    (Lantern::Place::Lie::KINDS.keys - %i[wash line]).each do |kind|
      look = lie(kind).look
      marks = look.solids.flat_map { |mark|
        Lantern::Place::Look::Frame.of(mark, item(kind), 0.25, slender: look.slender).map { polygon(_1.corners(mark)) }
      }.reduce(:union)
      hidden = lie(kind).covers(:front).map { |patch|
        next polygon(patch.corners) if patch.is_a?(Lantern::Place::Polygon)
        Geos::WktReader.new.read("LINESTRING(#{[patch.from, patch.to].map { _1.join(" ") }.join(",")})")
          .buffer(patch.half, quad_segs: 30)
      }.reduce(:union)
      expect([kind, marks.difference(hidden).area / marks.area]).to match [kind, be < 0.03]
      next if %i[loop knot disc ball tube curl sprig].include?(kind)
      expect([kind, hidden.difference(marks).area / hidden.area]).to match [kind, be < 0.01]
    end
  end

  it "lies within its box, and its box is no larger than its widest mark needs" do
    (Lantern::Place::Lie::KINDS.keys - %i[wash]).each do |kind|
      left, top, right, bottom = lie(kind).box
      xs, ys = lie(kind).look.solids.flat_map { |mark|
        Lantern::Place::Look::Frame.of(mark, item(kind), 0.25).flat_map { _1.corners(mark) }
      }.transpose
      next unless xs
      expect([kind, left <= xs.min, top <= ys.min, right >= xs.max, bottom >= ys.max]).to eq [kind, *[true] * 4]
      expect([kind, xs.min - left, ys.min - top, right - xs.max, bottom - ys.max]).to match [kind, *[be < 0.31] * 4]
    end
  end

  it "is few paths: a wreath of nine hundred stretches is under two hundred" do
    worked = Lantern.work(example_plan("door-2-woven"))
    lies = worked["drawing"]["layers"]
    expect(lies.sum { _1["front"].size }).to be > 900
    printed = lies.sum { |each|
      Lantern::Place::Look::Print.new(Lantern::Place::Lie::KINDS.fetch(each["kind"]).look, each["width"])
        .then { |print| print.of(each["front"]) { _2.to_s }.size + print.of(each["back"], far: true) { "" }.size }
    }
    expect(printed).to be < 200
  end

  it "keeps the order of what laps, and puts what may lie either way on few levels" do
    laid = (0...6).map { |i| {"points" => [i, 0, i + 1.5, 0, i + 1.5, 3, i, 3], "colour" => 0} }
    paths = ->(kind) {
      Lantern::Place::Look::Print.new(Lantern::Place::Lie::KINDS.fetch(kind).look, 1.5).of(laid) { "" }.map(&:path)
    }
    expect(paths[:band].map { _1[/M(\d)/, 1].to_i }).to eq [0, 1, 2, 3, 4, 5]
    expect(paths[:panel].map { _1.scan(/M(\d)/).flatten.map(&:to_i) }).to eq [[0, 2, 4], [1, 3, 5]]
  end

  it "draws a tail as far as it hangs, however small the wreath is beside it" do
    drawing = work(materials: [ribbon], layers: [layer("bow", "tape", kind: "two_loop", tail: 24)])["drawing"]
    left, top, right, bottom = drawing["bounds"]
    tips = drawing["layers"].find { _1["kind"] == "tail" }["front"].map { _1["points"][2..] }
    expect(bottom).to be_within(2).of(tips.map(&:last).max)
    # Above and beside the ring nothing is drawn, so that there is no room for nothing.
    expect([left, top, right]).to match [be > -10, be > -10, be < 10]
  end

  it "refuses a frame, an order and a path that there are not" do
    declare = lambda do |text = "M0 0 L1 1", order: :any, **more|
      described_class.new(order:) { line text, width: 1, **more }
    end
    expect { declare.call(frame: :leg) }.to raise_error(Lantern::Registry::Unknown, /did you mean “legs”/)
    expect { declare.call(order: :random, frame: :legs) }.to raise_error(ArgumentError, /is no order/)
    expect { declare.call("M0 0 K1 1", frame: :legs) }.to raise_error(ArgumentError, /no command/)
    expect { declare.call("M0 0 L1", frame: :legs) }.to raise_error(ArgumentError, /has not 1 places/)
  end
end
