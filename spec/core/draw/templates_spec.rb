# frozen_string_literal: true

RSpec.describe Lantern::Place::Template do
  def templates(**more) = Lantern.templates(plan(**more)).to_h { [_1.name, _1] }

  def box(template) = template.outlines.flatten(1).transpose.map { |line| line.max - line.min }

  it "is the form, its back and its middle at their true size" do
    found = templates
    expect(box(found["outline"])).to all(be_within(0.005).of(14))
    expect(box(found["back"])).to all(be_within(0.005).of(13.5))
    expect(box(found["mesh"])).to all(be_within(0.005).of(8))
    expect(found.keys).to eq %w[outline back mesh]
    expect(templates(form: {"base" => "board", "outside" => 14, "inside" => 10}).keys).to include "board"
  end

  it "has a panel with what goes round the edge and the tab" do
    board = {"base" => "board", "outside" => 14, "inside" => 10}
    panel = templates(form: board, materials: [cloth], layers: [layer("panel", "cloth", tab: 0.5)])["panel"]
    needs = work(form: board, materials: [cloth], layers: [layer("panel", "cloth", tab: 0.5)])["layers"][0]["needs"][0]
    expect(box(panel)[0]).to be_between(needs["width"] - 0.125, needs["width"] + 1e-6)
  end
end
