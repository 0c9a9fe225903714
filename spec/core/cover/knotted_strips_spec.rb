# frozen_string_literal: true

RSpec.describe Lantern::Cover::KnottedStrips do
  def knots(form: {}, materials: [cloth], **options)
    work(form:, materials:, layers: [layer("knotted_strips", materials.first["id"],
      materials: materials.drop(1).map { _1["id"] }, **options)])["layers"][0]
  end

  # Common practice: eight wide strips a section on a 12 in frame of twelve sections.
  it "counts what the maker says a section takes, and one in twenty to spare" do
    expect(knots(per_section: 8)["figures"]).to include("tied" => 96, "pieces" => 101, "per_section" => 8)
    expect(knots(per_section: 8, spare: 0)["figures"]["pieces"]).to eq 96
  end

  it "cuts tails, once round and the knot's take-up, up to the mark" do
    figures = knots(tail: 3, strip_width: 1, rail: 2)["figures"]
    # From memory: nine diameters of the bundle, and a bundle of sqrt(4 w t 2.5 / pi).
    bundle = Math.sqrt(4 * 1 * 0.02 * 2.5 / Math::PI)
    exact = 6 + Math::PI * 0.12 + 9 * bundle
    expect(figures["take_up"]).to be_within(1e-3).of(9 * bundle)
    expect(figures["piece_length"]).to be_between(exact, exact + 0.125)
  end

  it "counts along the rail it is tied to" do
    # Wires 0.12 in thick, evenly between the edges of a 14 in ring with an 8 in opening.
    inner, outer = [4.06, 6.94].map { 2 * Math::PI * _1 }
    pitch = 0.5
    expect(knots(rail: 1, packed_pitch: pitch)["figures"]["per_section"]).to eq (inner / 12 / pitch).ceil
    expect(knots(rail: 4, packed_pitch: pitch)["figures"]["per_section"]).to eq (outer / 12 / pitch).ceil
  end

  it "lets a test piece replace both guesses" do
    worked = knots(rail: 1, tail: 3, test_piece: {"cut" => 10, "tails" => "7 1/2", "strips" => 5, "covers" => 3})
    expect(worked["figures"]["take_up"]).to be_within(1e-3).of(2.5 - Math::PI * 0.12)
    expect(worked["figures"]["pitch"]).to eq 0.6
    expect(worked["figures"]["piece_length"]).to eq 8.5
    expect(worked["findings"].map { _1["code"] }).not_to include("guess")
    expect(knots["findings"].map { _1["code"] }).to include("guess")
  end

  it "divides the strips among the colours by their parts, to the last one" do
    three = [cloth, cloth(id: "b", name: "Check"), cloth(id: "c", name: "Net")]
    needs = knots(materials: three, per_section: 8, mix: [3, 2, 1])["needs"]
    expect(needs.map { _1["count"] }).to eq [50, 34, 17]
    equal = knots(materials: three, per_section: 8)["needs"].map { _1["count"] }
    expect(equal.sum).to eq 101
    expect(equal.max - equal.min).to be <= 1
  end

  it "draws every tied strip in its colour, evenly spread" do
    document = plan(materials: [cloth, cloth(id: "b", name: "Check")],
      layers: [layer("knotted_strips", "cloth", materials: ["b"], per_section: 8, mix: [2, 1])])
    colours = Lantern.work(document)["drawing"]["layers"][0]["front"].map { _1["colour"] }
    expect(colours.size).to eq 96
    expect(colours.each_cons(3).map { _1.count(1) }.uniq).to eq [1]
  end

  it "refuses rails that are not there and test pieces that contradict themselves" do
    bad = ->(form: {},
      **options) { problems(plan(form:, materials: [cloth], layers: [layer("knotted_strips", "cloth", **options)])) }
    expect(bad.call(rail: 5)).to match("layers.0.rail" => /no rail 5/)
    expect(bad.call(form: foam(12, 8), rail: 1)).to match("layers.0.rail" => /Only a wire frame/)
    expect(bad.call(test_piece: {"cut" => 5, "tails" => 6}))
      .to match("layers.0.test_piece.tails" => /come to more than/)
    expect(bad.call(test_piece: {"cut" => 5})).to match("layers.0.test_piece" => /both/)
    expect(bad.call(mix: [1, 2])).to match("layers.0.mix" => /2 parts for 1/)
    expect(bad.call(packed_pitch: 0.002)).to match("layers.0.per_section" => /cannot be planned/)
  end
end
