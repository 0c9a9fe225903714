# frozen_string_literal: true

require "ffi-geos"

RSpec.describe Lantern::Form::Path do
  let(:line) { Lantern::Form::Line }
  let(:arc) { Lantern::Form::Arc }

  def ring(radius) =
    described_class.new([arc.new(centre: [0.0, 0.0], radius:, start: -Math::PI / 2, sweep: 2 * Math::PI)])

  # Walked clockwise on the drawing, so that the outside is on the left.
  def square(side) = described_class.new([[0, 0], [side, 0], [side, side], [0, side], [0, 0]]
    .map { |x, y| [x.to_f, y.to_f] }.each_cons(2).map { |from, to| line.new(from:, to:) })

  def geos(points)
    ring = (points.first == points.last) ? points : points + [points.first]
    Geos::WktReader.new.read("POLYGON((#{ring.map { |x, y| format("%.12f %.12f", x, y) }.join(",")}))")
  end

  # Published: parallel curves of a smooth closed path that turns once are 2 pi b longer and shorter (Steiner).
  it "has edges 2 pi b longer and shorter on a ring" do
    path = ring(5.5)
    expect(path.edge(1.5)).to be_within(1e-9).of(path.length + 2 * Math::PI * 1.5)
    expect(path.edge(-1.5)).to be_within(1e-9).of(path.length - 2 * Math::PI * 1.5)
    expect(path.wide(1.5)).to be_within(1e-9).of(path.edge(1.5))
    expect(path.crowded(1.5)).to be_within(1e-9).of(path.edge(-1.5))
  end

  it "agrees with GEOS on length, area and the grown outline of a ring and a square" do
    outer = geos(ring(5.5).trace(0.0, step: 0.01))
    expect(outer.length).to be_within(0.001 * outer.length).of(ring(5.5).length)
    grown = geos(square(4).trace(0)).buffer(1.0, quad_segs: 200)
    expect(square(4).edge(1.0)).to be_within(0.001 * grown.length).of(grown.length)
    shrunk = geos(square(4).trace(0)).buffer(-1.0)
    expect(square(4).edge(-1.0)).to be_within(1e-9).of(shrunk.length)
  end

  it "counts both sides of every bend in the wide run" do
    # An S of two half circles: the outside is the longer edge on one, the inside on the other.
    path = described_class.new([arc.new(centre: [0.0, 0.0], radius: 3.0, start: Math::PI, sweep: Math::PI),
      arc.new(centre: [6.0, 0.0], radius: 3.0, start: Math::PI, sweep: -Math::PI)])
    expect(path.wide(1)).to be_within(1e-9).of(2 * Math::PI * 4)
    expect(path.crowded(1)).to be_within(1e-9).of(2 * Math::PI * 2)
    expect(path.edge(1)).to be_within(1e-9).of(path.length)
    expect(path).not_to be_closed
  end

  it "puts points beside itself on the outside" do
    expect(ring(5).beside(0, 1)).to match([be_within(1e-9).of(0), be_within(1e-9).of(-6)])
    expect(square(4).beside(2, 1)).to eq [2.0, -1.0]
    quarter = ring(5).length / 4
    expect(ring(5).at(quarter)).to match([be_within(1e-9).of(5), be_within(1e-9).of(0)])
    expect(ring(5).at(quarter * 5)).to match([be_within(1e-9).of(5), be_within(1e-9).of(0)])
  end

  it "scales: lengths go by k" do
    path = square(4).scaled(2.5)
    expect(path.length).to be_within(1e-9).of(40)
    expect(ring(2).scaled(3).tightest_radius).to be_within(1e-9).of(6)
  end
end
