# frozen_string_literal: true

# What no maker would believe is said or refused; ordinary work is left alone.
RSpec.describe "What no maker would believe" do
  def found(method, material, form: {}, **options)
    work(form:, materials: [material, *options.delete(:more)], layers: [layer(method, material["id"], **options)])
      .then { |worked| worked["layers"][0]["findings"].to_h { [_1["code"], _1] } }
  end

  def cloth(**more) = {"id" => "cloth", "kind" => "fabric", "name" => "Cloth",
                       "offers" => [{"width" => 22, "length" => 22, "price" => "2.00"}], **more.transform_keys(&:to_s)}

  it "says of strips that do not go once round that every turn has a join" do
    thick = {"base" => "foam", "outside" => 16, "inside" => 6}
    expect(found("spiral_wrap", cloth, form: thick, strip_length: 6)).to include("short_strips")
    expect(found("spiral_wrap", cloth, form: thick)).not_to include("short_strips")
    expect(found("spiral_wrap", cloth, form: thick, pieces: "short")).not_to include("short_strips")
  end

  it "says of a ribbon wider than the face that it hangs over" do
    wide = ribbon(width: 4).merge("id" => "wide")
    expect(found("rope_inlay", rope, ribbon: "wide", more: [wide])["wide_ribbon"]["says"]).to include("4 in", "3 in")
    expect(found("rope_inlay", rope, ribbon: "wide", more: [wide.merge("width" => 1)])).not_to include("wide_ribbon")
  end

  it "says by how much two hundred bows overlap, and offers as many as find room; not of twelve" do
    crowd = found("row_of", ribbon, count: 200)["overlap"]
    # 18 in of ribbon make a bow about a third of that across; 11 pi in of ring among 200.
    expect(crowd["says"]).to include("6 in across", "overlap by 5 13/16 in")
    expect(found("row_of", ribbon, count: crowd["try"]["count"])).not_to include("overlap")
    expect(found("row_of", ribbon)).to eq({})
  end

  it "says that the form shows between things in a row only where nothing covers it" do
    few = layer("row_of", "tape", id: "few", count: 2)
    codes = ->(*layers) { work(materials: [ribbon], layers:)["layers"].last["findings"].map { _1["code"] } }
    expect(codes.call(few)).to eq ["far_apart"]
    expect(codes.call(layer("spiral_wrap", "tape", id: "wrap"), few)).to eq []
  end

  it "says of two dozen rounds of seam cord that a few hide it" do
    foam = {"base" => "foam", "section" => "half_round", "outside" => 14, "inside" => 10}
    many = found("seam_cord", rope, form: foam, rounds: 24)["many_rounds"]
    expect(many["try"]["rounds"]).to be < 8
    expect(found("seam_cord", rope, form: foam)).to eq({})
  end

  it "says of tails that cannot be tied how long they must be" do
    expect(found("knotted_strips", ribbon, tail: 0.5)["short_tails"]["try"]).to eq("tail" => "1 1/2 in")
    expect(found("knotted_strips", ribbon)).not_to include("short_tails")
  end

  it "never advises a cord thinner than none" do
    tight = {"outside" => 14, "inside" => 12.8, "rails" => 4, "rail_diameter" => 0.14}
    said = problems(plan(form: tight, materials: [rope], layers: [layer("weave", "rope")])).values.join
    expect(said).to include("too close to weave")
    expect(said).not_to match(/thinner than 0/)
  end

  it "calls one strip round a form not done" do
    few = work(form: {"sections" => 2}, materials: [ribbon(width: 1.5)],
      layers: [layer("knotted_strips", "tape", per_section: 1, packed_pitch: 16)])
    said = few["layers"][0]["findings"].find { _1["code"] == "bare" }["says"]
    expect(said).to match(/Only \d % of the form is hidden/)
    expect(few["stages"]["cover"]).to be false
    usual = work(materials: [ribbon(width: 1.5)], layers: [layer("knotted_strips", "tape")])
    expect(usual["stages"]["cover"]).to be true
  end
end
