# frozen_string_literal: true

# Common practice: cloth below and rope above meet, or the frame shows between them.
RSpec.describe Lantern::Cover::Meeting do
  let(:lens) { {"base" => "wire", "shape" => "lens", "width" => 9, "height" => 14, "face" => 2} }
  let(:big) { cloth(offers: [{"width" => 36, "length" => 36, "price" => "6.00"}]) }

  def covered(rows: {}, panel: {})
    work(form: lens, materials: [rope, big],
      layers: [layer("rope_rows", "rope", id: "rows", **rows), layer("panel", "cloth", id: "panel", **panel)])
  end

  def between(worked) = worked["layers"].map { |each| each["findings"].find { _1["code"] == "bare_between" } }

  it "says of both what they leave bare between them, and neither is settled" do
    apart = covered(rows: {stop: 5}, panel: {share: 0.5})
    # The lower half of a shape of 14 in begins 7 in below its top.
    expect(between(apart).map { _1["says"] }).to all(include("2 in of the form"))
    expect(apart["stages"]["cover"]).to be false
    between(apart).map { _1["try"] }.zip(%i[rows panel]) do |try, which|
      said = {rows: {stop: 5}, panel: {share: 0.5}}
      met = covered(**said, which => said[which].merge(try.transform_keys(&:to_sym)))
      expect(between(met)).to eq [nil, nil]
    end
  end

  # The middle of the band is 6 in from the middle of the ring: from 4 o'clock to half past it is π / 2 in along it.
  it "says it of what lies one after the other along the band, where no more than the band's width is left bare" do
    halves = ->(from, to) {
      work(form: foam(14, 10), materials: [rope, ribbon(width: 1)],
        layers: [layer("rope_coil", "rope", id: "coil", from: 12, to: 4),
          layer("spiral_wrap", "tape", id: "wrap", from:, to:)])
    }
    apart = halves.call(4.5, 12)
    expect(between(apart).map { _1["says"] }).to all(include("1 9/16 in of the form"))
    expect(between(apart).map { _1["try"] }).to eq [{"to" => 4.5}, {"from" => 4.0}]
    expect(apart["stages"]["cover"]).to be false
    expect(between(halves.call(4, 12))).to eq [nil, nil]
    expect(between(halves.call(3.5, 12))).to eq [nil, nil]
    # Two inches of a band are left bare by mistake, more on purpose.
    expect(between(halves.call(5, 12))).to eq [nil, nil]
    expect(between(halves.call(4, 11.5)).compact.map { _1["try"] }).to eq [{"from" => 11.5}, {"to" => 12.0}]
  end

  it "says nothing where they meet or overlap, nor of one alone" do
    expect(between(covered(rows: {stop: 7}, panel: {share: 0.5}))).to eq [nil, nil]
    expect(between(covered(rows: {stop: 9}, panel: {share: 0.5}))).to eq [nil, nil]
    alone = work(form: lens, materials: [rope], layers: [layer("rope_rows", "rope", stop: 5)])
    expect(between(alone)).to eq [nil]
  end
end
