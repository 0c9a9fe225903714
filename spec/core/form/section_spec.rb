# frozen_string_literal: true

require "ffi-geos"

RSpec.describe Lantern::Form::Section do
  # A tube's circumference, and half of one with its diameter: any handbook.
  it "has the girths of tube, half tube and board" do
    expect(described_class.round(2.0).girth).to be_within(1e-9).of(Math::PI * 2)
    expect(described_class.half_round(2.0).girth).to be_within(1e-9).of(2 + Math::PI)
    expect(described_class.flat(2.0, 0.25).girth).to be_within(1e-9).of(2 * (2 + 0.25))
  end

  # Published: the open belt round two equal pulleys, 2 C + pi d.
  it "is an open belt round two rails" do
    section = described_class.wire(3.0, count: 2, diameter: 0.12, dish: 0.7)
    expect(section.girth).to be_within(1e-9).of(2 * (3 - 0.12) + Math::PI * 0.12)
  end

  it "agrees with GEOS on the hull of dished rails" do
    [[4, 0.5], [3, 0.4], [5, 0.8], [4, 0.0]].each do |count, dish|
      section = described_class.wire(3.0, count:, diameter: 0.12, dish:)
      points = section.rails.map { |x, y| "#{x} #{y}" }.join(",")
      hull = Geos::WktReader.new.read("MULTIPOINT(#{points})").buffer(0.06, quad_segs: 400).convex_hull
      expect(section.girth).to be_within(0.0005 * hull.length).of(hull.length)
      expect(section.rails.map { _1[1] }.min).to be_within(1e-9).of(-dish)
    end
  end

  it "goes from edge to edge of the face and closes" do
    [described_class.round(2.5), described_class.half_round(2.5), described_class.flat(2.5, 0.5),
      described_class.wire(2.5, count: 4, diameter: 0.1, dish: 0.4)].each do |section|
      expect(section.front.at(0)[0]).to be_within(1e-9).of(-1.25)
      expect(section.front.at(section.front.length)[0]).to be_within(1e-9).of(1.25)
      expect(section.back.at(section.back.length)[0]).to be_within(1e-9).of(-1.25)
      section.front.pieces.each_cons(2) { |a, b|
        expect(a.at(a.length))
          .to match(b.at(0).map { be_within(1e-9).of(_1) })
      }
    end
  end

  # By symmetry the mean distance from the middle is nothing, and over a circle the mean square is r squared over two.
  it "averages over once round" do
    expect(described_class.round(2.0).mean { _1 }).to be_within(1e-9).of(0)
    expect(described_class.round(2.0).mean { |x| x**2 }).to be_within(1e-3).of(0.5)
  end
end
