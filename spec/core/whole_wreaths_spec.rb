# frozen_string_literal: true

# Wreaths as practised makers make them, planned whole: everything that goes into each is there, counted and paid for.
RSpec.describe "Whole wreaths" do
  def piece(id, name = id.capitalize, **more) =
    {"id" => id, "kind" => "piece", "name" => name, "offers" => [{"count" => 1, "price" => "1.10"}], "on_hand" => []}
      .merge(more.transform_keys(&:to_s))

  def tie(id, sort) = {"id" => id, "kind" => "tie", "sort" => sort, "name" => id.capitalize,
                       "offers" => [{"count" => 50, "price" => "2.00"}], "on_hand" => []}

  let(:thin) { rope(id: "thin", name: "Wired cord", diameter: 0.125) }
  let(:felt) { cloth(id: "felt", name: "Felt", offers: [{"width" => 9, "length" => 12, "price" => "0.80"}]) }
  let(:net) { stash.find { _1["id"] == "net" } }

  def needed(worked, id) = worked["materials"].find { _1["id"] == id }["needed"]

  # The cost is the sum of its parts: what is bought, package by package, at its price.
  def check_whole(worked, materials)
    bought = worked["materials"].flat_map do |each|
      own = materials.find { _1["id"] == each["id"] }
      each["buy"].map { |buy| BigDecimal(own["offers"][buy["offer"]]["price"]) * buy["count"] }
    end
    expect(BigDecimal(worked["cost"]["to_buy"])).to eq bought.sum
    expect(worked["layers"].flat_map { _1["findings"] }.map { _1["level"] }).not_to include "stop"
    expect(worked["layers"].flat_map { _1["findings"] }.map { _1["code"] }).not_to include "same_place"
    expect(worked["materials"].map { _1["short"] }.uniq).to eq [0]
    worked
  end

  def whole(**plan) = check_whole(work(**plan), plan[:materials])

  it "a gourd with panel, chosen ribs, stem, tendril in wired cord, bow on bow" do
    layers = [layer("panel", "cloth", id: "panel"), layer("ribs", "tape", id: "ribs", which: [1, 3]),
      layer("stem_wrap", "rope", id: "stem", tendrils: 2, tendril_material: "thin"),
      layer("bow", "tape", id: "bow", at: 12), layer("bow", "wide", id: "top", on: "bow")]
    wide = ribbon(id: "wide", name: "Wide ribbon", wired: true)
    big = cloth(offers: [{"width" => 36, "length" => 36, "price" => "6.00"}])
    worked = whole(form: gourd, materials: [rope, ribbon(wired: true), wide, thin, big], layers:)
    expect(worked["layers"].find { _1["id"] == "ribs" }["figures"]["pieces"]).to eq 2
    expect(needed(worked, "thin")).to be_positive
    expect(worked["steps"].map { _1["layer"] }.compact.uniq).to match_array layers.map { _1["id"] }
    sizes = %w[bow top].map { |id| worked["layers"].find { _1["id"] == id }["figures"]["bow_width"] }
    expect(sizes.last).to be < sizes.first
  end

  # Common practice: a ring glued on another, cord round the seam: the seam's run and a join.
  it "a ring on a ring with cord round the seam" do
    parts = [{"shape" => "ring", "outside" => 14, "inside" => 8}, {"shape" => "ring", "outside" => 12, "inside" => 10,
                                                                   "over" => true}]
    layers = [layer("spiral_wrap", "tape", id: "below", part: 1), layer("spiral_wrap", "rust", id: "above", part: 2),
      layer("seam_cord", "thin", id: "seam")]
    rust = ribbon(id: "rust", name: "Rust tape", width: 1)
    worked = whole(form: {"base" => "foam", "shape" => "composite", "parts" => parts}, materials: [ribbon, rust, thin],
      layers:)
    expect(needed(worked, "thin")).to be >= 2 * Math::PI * 5
    expect(needed(worked, "tape")).to be > needed(worked, "rust")
  end

  # Common practice: 9 ft of burlap goes once round twelve ties; a tufts go in every other one.
  it "a work form with loops and a tuft in every other tie" do
    tuft = [{"material" => "net", "length" => 8, "count" => 3}]
    layers = [layer("tied_loops", "tape", id: "loops", loop_length: 9),
      layer("row_of", "net", id: "tufts", every: 2, recipe: tuft, sides: "alternate")]
    burlap = ribbon(name: "Burlap", width: 18)
    form = {"outside" => 12, "inside" => 8, "rails" => 2, "ties" => 12}
    worked = whole(form:, materials: [burlap, net], layers:)
    # Twelve a rail on two rails: every other one is twelve, of three pieces each.
    expect(worked["layers"][1]["figures"]).to include("repeats" => 12, "pieces" => 36)
  end

  it "a heart with a filled middle, felt pieced from two sheets or more, and a bead heart tied over it" do
    layers = [layer("fill", "blooms", id: "fill", grid: "net"), layer("backing", "felt", id: "back"),
      layer("attach", "beads", id: "beads", what: "bead heart", at: "middle", cord: "thin", fixing: "ties")]
    blooms = stash.find { _1["id"] == "blooms" }
    form = {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 1.5}
    materials = [blooms, net.merge("width" => 20), thin, felt, piece("beads"), tie("ties", "cable")]
    worked = whole(form:, materials:, layers:)
    expect(worked["layers"].find { _1["id"] == "back" }["figures"]["pieces"]).to be >= 2
    # Common practice: about a dozen ties hold a grid.
    grid = worked["fixings"].find { _1["for"] == "filled middle" }
    expect(grid["count"]).to be_between(8, 14)
    expect(needed(worked, "ties")).to eq worked["fixings"].select { _1["material"] == "ties" }.sum { _1["count"] }
    expect(worked["steps"].map { _1["title"] }).to include "Hang the bead heart in the middle"
    expect(worked["drawing"]["layers"].map { _1["what"] }).to include "bead heart"
  end

  # Common practice: two joined canes take six ties; a pick takes glue and one, a sign two stems, a swag one and three
  # wires.
  it "charges every fixing to the stash, whoever asks for it, and buys what is missing" do
    layers = [layer("attach", "picks", id: "picks", count: 2, fixing: "ties"),
      layer("attach", "sign", id: "sign", what: "sign", fixing: "chenille", at: 12),
      layer("attach", "picks", id: "swag", what: "swag", at: 3), layer("bow", "tape", id: "bow", at: 9)]
    ties = tie("cable", "cable").merge("on_hand" => [4])
    materials = [piece("picks"), piece("sign"), ribbon, ties, tie("stems", "chenille"),
      {"id" => "wire", "kind" => "wire", "name" => "Wire", "diameter" => 0.03,
       "offers" => [{"length" => 240, "price" => "1.50"}]}]
    worked = whole(form: {"base" => "foam", "shape" => "composite", "face" => 1.5}, materials:, layers:)
    expect(worked["fixings"].find { _1["for"] == "joining the parts" }["count"]).to eq 6
    expect(needed(worked, "cable")).to eq 2 + 1 + 6
    expect(needed(worked, "stems")).to eq 3
    expect(needed(worked, "wire")).to eq 36
    expect(worked["materials"].find { _1["id"] == "cable" }["buy"]).not_to be_empty
  end
end
