# frozen_string_literal: true

RSpec.describe Lantern::Form::Part do
  def band(shape, **sizes)
    typical = Lantern::Form.shapes.fetch(shape).typical.merge(sizes).to_h { |name, size| [name.to_s, size] }
    Lantern::Work.read(plan(form: {"base" => "wire", "rails" => 2, "shape" => shape.to_s, **typical})).form
  end

  it "gives a gourd its ribs from dip to dip, the ones at the side longest, and its stem on top" do
    form = band(:gourd, ribs: 5)
    expect(form.ribs.map(&:length)).to satisfy { |lengths|
      lengths == lengths.sort_by { |each| lengths.index(each) } &&
        lengths.first > lengths[2] && lengths[1] > lengths[2]
    }
    expect(form.ribs.first.length).to be_within(1e-6).of(form.ribs.last.length)
    ends = form.ribs.flat_map { [_1.path.at(0), _1.path.at(_1.length)] }
    expect(ends.map { _1[0].round(6) }.uniq).to eq [0.0]
    expect(form.stem.path.at(0)).to match [be_within(1e-6).of(0), be_within(1e-6).of(ends.map(&:last).min)]
    expect(form.stem.length).to be_within(1e-3).of((13 - 1.5) / 5)
  end

  # The middle rib is straight; the others are longer than the straight line between the dips.
  it "follows the surface" do
    straight, beside = band(:gourd, ribs: 3).ribs.map(&:length).values_at(1, 0)
    expect(beside).to be > straight
  end

  it "hangs a clover's stem from the notch between its lower leaves" do
    [3, 4].each do |leaves|
      form = band(:clover, leaves:, stem: 6)
      root = form.stem.path.at(0)
      expect(root[0]).to be_within(1e-6).of(0)
      expect(root[1]).to be > 0
      expect(form.path.trace(0.0).map { |x, y| Math.hypot(x - root[0], y - root[1]) }.min).to be < 0.01
      expect(form.stem.length).to be_within(1e-9).of(6)
    end
    expect(band(:clover, stem: 0).stem).to be_nil
  end

  it "counts a star's arms as ribs" do
    expect(band(:star, points: 7).ribs.size).to eq 7
  end

  it "has room on the drawing" do
    drawing = Lantern.work(plan(form: {"base" => "wire", "rails" => 2, "shape" => "clover", "width" => 12, "face" => 1,
                                       "stem" => 10}))["drawing"]
    expect(drawing["bounds"][3]).to be > 10
    expect(drawing["form"]["parts"])
      .to match [{"kind" => "stem", "line" => /\AM/, "width" => be_within(0.01).of(0.667)}]
  end
end
