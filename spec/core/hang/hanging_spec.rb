# frozen_string_literal: true

RSpec.describe "Hanging and fixing" do
  let(:felt) {
    cloth("id" => "felt", "name" => "Felt",
      "offers" => [{"width" => 36, "length" => 36, "price" => "3.00"}])
  }

  def codes(worked, layer = 0) = worked["layers"][layer]["findings"].map { _1["code"] }

  # Common practice: 12 in of knotted strip, a chenille stem of about 12 in.
  it "knows every hanger's length and knot" do
    {"knotted_strip" => [ribbon, 12], "larks_head" => [rope, 24], "ribbon_loop" => [ribbon, 8],
     "rope_ends" => [rope, 10]}.each do |kind, (material, length)|
      made = work(materials: [material], layers: [layer("hanger", material["id"], kind:)])["layers"][0]
      expect(made["needs"]).to match [include("count" => 1, "length" => length)]
    end
    expect(work(materials: [stash[6]],
      layers: [layer("hanger", "ties", kind: "chenille")])["layers"][0]["needs"][0]["count"]).to eq 1
    # Left out, the kind is what suits the material.
    titles = [rope, ribbon, cloth, stash[6]]
      .map { |material|
      work(materials: [material],
        layers: [layer("hanger", material["id"])])["layers"][0]["working"][0]["says"]
    }
    expect(titles).to eq ["Lark’s head cord", "Lark’s head cord", "Knotted strip", "Chenille stem"]
    expect(problems(plan(materials: [ribbon], layers: [layer("hanger", "tape", kind: "chenille")])).values.first)
      .to match(/Chenille stem takes tie or wire/)
  end

  it "fits the hanger before the covering or at the end, and never forgets it" do
    coil = layer("rope_coil", "rope", id: "base")
    ids = ->(*layers) { work(materials: [rope, felt], layers:)["steps"].map { _1["id"] } }
    expect(ids.call(coil, layer("hanger", "rope", id: "h"))).to eq %w[prepare cut h.hang base.coil base.fill fluff]
    expect(ids.call(coil, layer("backing", "felt", id: "b"), layer("hanger", "rope", id: "h", fitted: "last")))
      .to eq %w[prepare cut base.coil base.fill h.hang b.back fluff]
    expect(work(materials: [rope], layers: [coil])["findings"].map { _1["code"] }).to eq ["no_hanger"]
    hung = work(materials: [rope], layers: [coil, layer("hanger", "rope", id: "h")])
    expect(hung["findings"]).to eq []
    expect(hung["stages"]).to include("hang" => true, "trim" => false)
  end

  # Common practice: a loop is glued flat behind what covers the form; on bare wire no glue holds. A frame that hangs by
  # its own wire takes no step.
  it "glues a loop on the covering, says that none holds on bare wire, and does nothing where the wire is there" do
    loop = layer("hanger", "tape", id: "loop", kind: "loop_behind")
    wrap = layer("spiral_wrap", "tape", id: "wrap")
    covered = work(materials: [ribbon], layers: [loop, wrap])
    expect(covered["steps"].filter_map { _1["layer"] }.uniq).to eq %w[wrap loop]
    expect(covered["layers"][0]["findings"]).to eq []
    bare = work(materials: [ribbon], layers: [loop])
    expect(bare["layers"][0]["findings"].map { _1.slice("code", "try") })
      .to eq [{"code" => "on_bare_wire", "try" => {"kind" => "larks_head"}}]
    own = work(materials: [ribbon], layers: [wrap, layer("hanger", id: "own", kind: "frame")])
    expect(own["steps"].map { _1["layer"] }).not_to include "own"
    expect(own["findings"].map { _1["code"] }).not_to include "no_hanger"
  end

  it "says when glue alone is not enough, and what is" do
    fixed = ->(**more) { work(layers: [layer("attach", **more)]) }
    heavy = fixed.call(what: "sign", weight: "8 oz")
    expect(codes(heavy)).to include "too_heavy"
    mend = heavy["layers"][0]["findings"].find { _1["code"] == "too_heavy" }["try"]
    expect(mend).to eq("fixing" => "chenille")
    expect(codes(fixed.call(what: "sign", weight: "8 oz", fixing: "chenille"))).not_to include "too_heavy"
    expect(codes(fixed.call(what: "pick", weight: 40))).to eq []
    expect(problems(plan(layers: [layer("attach", weight: "heavy")])).values.first).to match(/such as 250 g or 8 oz/)
    expect(codes(fixed.call(what: "sign", size: 9))).to include "hides"
    # A word of the maker's own will do.
    expect(fixed.call(what: "brass bell", weight: "90 g")["steps"].map { _1["title"] })
      .to include "Fix the brass bell on at 6 o’clock"
    loop = work(materials: [ribbon], layers: [layer("hanger", "tape", kind: "ribbon_loop"),
      layer("attach", id: "sign", what: "sign", weight: "1 kg", fixing: "wire")])
    expect(codes(loop)).to eq %w[on_bare_wire heavy_for_glue]
  end

  it "puts things by the clock, side by side" do
    picks = work(layers: [layer("attach", what: "bloom", count: 3, at: 3, size: 2)])["drawing"]["layers"][0]["front"]
      .map { _1["points"] }
    expect(picks[0]).to match [be_within(0.1).of(5.5), be_within(0.1).of(0)]
    expect(picks.each_cons(2).map { |a, b| Math.hypot(a[0] - b[0], a[1] - b[1]) }).to all(be_within(0.05).of(2.1))
  end

  it "cuts the back to the outline less a margin" do
    back = work(materials: [felt], layers: [layer("backing", "felt", margin: 0.25)])
    expect(back["layers"][0]["needs"][0]).to include("width" => 13.5, "length" => 13.5)
    # A ring of 13.5 and 8.5 in.
    expect(back["layers"][0]["figures"]["area"]).to be_within(0.05).of(Math::PI / 4 * (13.5**2 - 8.5**2))
    expect(back["drawing"]["layers"][0].values_at("front", "width")).to eq [[], 2.5]
    expect(problems(plan(materials: [felt], layers: [layer("backing", "felt", margin: 1.5)])).values.first)
      .to match(/leaves nothing/)
  end
end
