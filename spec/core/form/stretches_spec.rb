# frozen_string_literal: true

require_relative "../../support/helper"

RSpec.describe Lantern::Form::Stretches do
  def stretches(**form)
    band = Lantern::Work.read(plan(form: {"base" => "foam", **form.transform_keys(&:to_s)})).form
    [band.stretches, band]
  end

  def kite = {shape: "outline", width: 14, face: 1.5, points: [[0, -10], [7, -3], [0, 12], [-7, -3]]}

  it "has a ring as one leg, as long as its edges, and nothing to fan over" do
    found, = stretches(shape: "ring", outside: 14, inside: 8)
    expect(found.fans).to eq []
    expect(found.legs.map { [_1.crowded, _1.wide].map { |each| each.round(9) } })
      .to eq [[8 * Math::PI, 14 * Math::PI].map { _1.round(9) }]
  end

  # Steiner's formula: the outside of a convex shape, rounded at its corners, is 2 pi b longer than its middle; on the
  # inside each leg is shorter by b tan(delta / 2) at each of its ends.
  it "adds up to the outside of a convex shape, and leaves the legs what their inside has" do
    found, band = stretches(**kite)
    b, path = 0.75, band.path
    expect(found.legs.sum(&:wide) + found.fans.sum(&:length)).to be_within(0.01).of(path.length + 2 * Math::PI * b)
    inside = path.length - path.corners.sum { 2 * b * Math.tan(_1 / 2) }
    expect(found.legs.sum(&:crowded)).to be_within(1e-6).of(inside)
    expect(found.fans).to all have_attributes(outward: true)
  end

  # The nearest that the outside comes to the pivot is where a leg begins, a face away; the point lies farther.
  it "pivots where the tight edges meet, no nearer to the wide edge than the face" do
    shapes = %i[star heart cross clover lens].map { |each|
      {shape: each.to_s, **Lantern::Form.shapes[each].typical, **((each == :cross) ? {arm: 4} : {})}
    }
    [kite, *shapes].each do |form|
      found, band = stretches(**form)
      expect(found.fans).not_to be_empty
      found.fans.each do |fan|
        far = fan.edge.map { |x, y| Math.hypot(x - fan.pivot[0], y - fan.pivot[1]) }
        expect([form[:shape], far.min]).to match [form[:shape], a_value > band.face - 1e-6]
        expect(fan.reach).to be_between(far.min, far.max)
      end
    end
  end

  it "leaves each strand of joined forms its own, and nothing between one and the next" do
    ring = {"shape" => "ring", "outside" => 10, "inside" => 7}
    found, band = stretches(shape: "composite", face: 1.5, parts: [ring.merge("x" => -3), ring.merge("x" => 3)])
    expect(found.legs.map { _1.crowded.round(6) }).to eq [(7 * Math::PI).round(6)] * 2
    expect(found.legs.last.from).to be_within(1e-9).of(band.path.length / 2)
    expect(band.crowded_run).to be_within(1e-6).of(14 * Math::PI)
  end
end
