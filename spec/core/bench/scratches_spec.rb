# frozen_string_literal: true

# Common practice: whatever has wire ends, ties or a grid behind scratches a door, and is covered with felt or ribbon.
RSpec.describe Lantern::Bench::Scratches do
  def said(**plan) = work(**plan)["findings"].find { _1["code"] == "scratches" }

  def felt = cloth(id: "felt", name: "Felt")

  it "says that a bow's stem scratches, with both ways of covering it, and adds the felt that there is" do
    said = said(materials: [rope, ribbon, felt], layers: [layer("rope_coil", "rope"), layer("bow", "tape", id: "bow")])
    expect(said["says"]).to match(/the ends of 1 chenille stem/).and match(/Felt/).and match(/ribbon or a scrap/)
    expect(said["add"]).to eq("method" => "backing", "material" => "felt")
  end

  it "says so of every base that scratches by itself, and of none that is closed all round" do
    front = [layer("rope_rows", "rope")]
    expect(said(materials: [rope], layers: front)["says"]).to include "the wire"
    expect(said(form: {"base" => "vine", "outside" => 14, "inside" => 8}, materials: [rope], layers: front)["says"])
      .to include "the twigs"
    expect(said(form: foam(14, 8), materials: [rope], layers: front)).to be_nil
    expect(said(materials: [rope], layers: [layer("rope_coil", "rope")])).to be_nil
  end

  it "says nothing more once there is a back" do
    layers = [layer("rope_rows", "rope"), layer("backing", "felt", id: "back")]
    expect(said(materials: [rope, felt], layers:)).to be_nil
  end
end
