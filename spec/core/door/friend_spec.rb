# frozen_string_literal: true

require_relative "../../support/helper"

RSpec.describe Lantern::Door::Friend do
  def answer(plan, stash: [], **place)
    Lantern::Ask::OnDoor.answer({"plan" => plan, "place" => {"units" => "in", **place.transform_keys(&:to_s)}}, stash:)
  end

  def said(...) = answer(...)["says"].to_h { [_1["code"], _1] }

  def ring(outside, colour: "#2e4a7d", **more)
    tape = ribbon.merge("colour" => colour)
    plan(form: {"base" => "foam", "shape" => "ring", "outside" => outside, "inside" => outside - 4},
      materials: [tape, *more.delete(:materials)], layers: [layer("spiral_wrap", "tape"), *more.delete(:layers)])
  end

  # From a third to a half of the door's width (from memory).
  it "finds it lost below a third of the door's width, and too much above a half, with the size that would do" do
    lost = said(ring(9), wide: 36)["size"]
    expect(lost).to include("well" => false, "short" => "lost on it", "do" => "Make it 12 in")
    expect(lost["form"]).to include("outside" => 12, "inside" => 8)
    expect(said(ring(9).merge("form" => lost["form"]), wide: 36)["size"]).to include("well" => true)
    large = said(ring(24), wide: 36)["size"]
    expect(large).to include("short" => "too much", "do" => "Make it 18 in")
    expect(said(ring(24).merge("form" => large["form"]), wide: 36)["size"]).to include("well" => true)
    [12, 15, 18].each { |size| expect(said(ring(size), wide: 36)["size"]).to include("well" => true) }
  end

  it "sees it hardly against its own colour, well against another, and knows what of the stash would do" do
    marigold = ribbon.merge("id" => "marigold", "name" => "Marigold tape", "colour" => "#d9932b")
    lost = said(ring(14), wide: 36, paint: "#2c4878", stash: [marigold])["colour"]
    expect(lost).to include("well" => false, "says" => /hardly to be seen/, "do" => "Take Marigold tape",
      "layers" => {"one" => {"material" => "marigold"}})
    taken = ring(14, materials: [marigold])
    taken["layers"][0]["material"] = "marigold"
    expect(said(taken, wide: 36, paint: "#2c4878")["colour"]).to include("well" => true)
    expect(said(ring(14), wide: 36, paint: "#f2ead8")["colour"]).to include("well" => true)
    expect(said(ring(14), wide: 36)).not_to have_key("colour")
    # Nothing like it in the stash.
    expect(said(ring(14), wide: 36, paint: "#2c4878")["colour"]).not_to have_key("do")
  end

  it "holds it against the room before a storm door, the hook, and what is seen from behind" do
    expect(said(ring(14), wide: 36, gap: 3)["room"]).to include("well" => true)
    expect(said(ring(14), wide: 36, gap: 1)["room"]).to include("well" => false, "says" => /pressed flat/)
    expect(said(ring(14), wide: 36)).not_to have_key("room")
    sign = {"id" => "sign", "method" => "attach", "what" => "sign", "weight" => "600 g", "at" => 12}
    heavy = ring(14, layers: [sign])
    expect(said(heavy, wide: 36, holds: "500 g")["hook"]["says"]).to match(/600 g; the hook holds 500 g/)
    expect(said(heavy, wide: 36, holds: "2 lb")).not_to have_key("hook")
    bare = said(ring(14, materials: [cloth]), wide: 36, glass: true)["behind"]
    expect(bare).to include("well" => false, "add" => {"method" => "backing", "material" => cloth["id"]})
    covered = ring(14, materials: [cloth], layers: [bare["add"].merge("id" => "back")])
    expect(said(covered, wide: 36, glass: true)["behind"]).to include("well" => true)
    expect(said(ring(14), wide: 36)).not_to have_key("behind")
  end

  it "hangs beside it what is smaller, what is larger, and what the stash has in other colours" do
    sizes = answer(ring(15), wide: 36)["sizes"]
    expect(sizes.map { _1["says"] }).to eq ["12 in", "18 in"]
    expect(sizes.map { _1["form"]["outside"] - _1["form"]["inside"] }).to eq [4, 4]
    expect(answer(ring(12), wide: 36)["sizes"].map { _1["says"] }).to eq ["18 in"]
    stash = %w[#d9932b #b4532f #f2ead8]
      .map { |colour| ribbon.merge("id" => "c#{colour[1..]}", "name" => colour, "colour" => colour) }
    colours = answer(ring(15), wide: 36, paint: "#20323e", stash:)["colours"]
    expect(colours.map { _1["says"] }).to eq ["#f2ead8", "#d9932b"]
  end

  # By the inch, as forms are sold (common practice); the oval keeps its shape: 26 of 20 is 20 3/4 of 16.
  it "makes no form that cannot be" do
    oval = plan(form: {"base" => "foam", "shape" => "oval", "width" => 20, "height" => 26, "face" => 3},
      materials: [ribbon], layers: [layer("spiral_wrap", "tape")])
    form = said(oval, wide: 32)["size"]["form"]
    expect(form.values_at("width", "height", "face")).to eq [16, 20.75, 3]
    thick = plan(form: {"base" => "foam", "shape" => "ring", "outside" => 8, "inside" => 1},
      materials: [ribbon], layers: [layer("spiral_wrap", "tape")])
    expect(answer(thick, wide: 12)["sizes"].map { _1["form"]["inside"] }).to all(be_positive)
  end
end
