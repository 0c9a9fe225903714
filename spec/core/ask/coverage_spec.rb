# frozen_string_literal: true

# A plan is answered in two parts where a screen asks; together they are the worked plan.
RSpec.describe Lantern::Ask::Coverage do
  # As a screen puts the second part into the first.
  def together(first, coverage)
    layers = first["layers"].map { _1.merge(coverage["layers"].fetch(_1["id"])) }
    drawing = first["drawing"].merge("gaps" => first["drawing"]["gaps"] + coverage["gaps"])
    form = first["form"].merge(coverage["form"])
    first.merge("form" => form, "layers" => layers, "stages" => coverage["stages"], "drawing" => drawing)
  end

  it "is, with what is answered first, the worked plan" do
    Dir["docs/examples/*.json"].sort.each do |path|
      document = JSON.parse(File.read(path))
      parts = together(Lantern::Ask::Try.answer(document)["worked"], described_class.answer(document))
      expect(parts).to eq Lantern.work(document)
    end
  end

  it "has a stage wait whose layers close something, and no other" do
    coiled = plan(materials: [rope, ribbon], layers: [layer("rope_coil", "rope"), layer("bow", "tape", id: "bow")])
    first = Lantern::Ask::Try.answer(coiled)["worked"]
    expect(first["stages"].keys).to match_array %w[form trim hang cut buy bench]
    expect(first["layers"].flat_map(&:keys) & %w[covered bare]).to eq []
    expect(described_class.answer(coiled)["stages"]).to include "cover" => true
  end

  it "says what leaves the form bare only when it was looked at" do
    pointed = plan(form: {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2},
      materials: [rope], layers: [layer("rope_coil", "rope", fan: 0)])
    codes = ->(layer) { layer["findings"].map { _1["code"] } }
    expect(codes[Lantern::Ask::Try.answer(pointed)["worked"]["layers"][0]]).not_to include "bare"
    expect(codes[described_class.answer(pointed)["layers"]["one"]]).to include "bare"
  end
end
