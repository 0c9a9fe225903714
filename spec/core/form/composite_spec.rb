# frozen_string_literal: true

RSpec.describe Lantern::Form::Composite do
  def form(parts, **more) = plan(form: {"base" => "foam", "shape" => "composite", "face" => 1.5, "parts" => parts}
                                     .merge(more.transform_keys(&:to_s)), materials: [rope],
    layers: [layer("rope_coil", "rope")])

  def cane(**more) = {"shape" => "cane", "width" => 8, "height" => 18}.merge(more.transform_keys(&:to_s))

  let(:heart) { [cane(x: -0.4, turn: -35, cut_start: 2), cane(x: 0.4, turn: 35, mirror: true, cut_start: 2)] }

  it "joins two canes to a heart: tied where they cross and where their hooks meet, the ends cut off subtracted" do
    one = Lantern.work(plan(form: {"base" => "foam", **cane, "face" => 1.5}))["form"]["run"]
    worked = Lantern.work(form(heart))
    expect(worked["form"]["run"]).to be_within(1e-3).of(2 * (one - 2))
    expect(worked["form"]["findings"].map { _1["says"] })
      .to match [/meet in 2 places: tie each.*tape over the 2 cut ends/, /saves 4 in of length, 8 %/]
    expect(worked["steps"][0]["says"]).to match(/Cut the ends off: 4 in/)
  end

  it "is symmetric when its parts mirror each other" do
    ends = Lantern.work(form(heart))["drawing"]["outline_bounds"]
    expect(ends[0]).to be_within(1e-3).of(-ends[2])
  end

  it "lays one ring on another: runs add up, and they cross in two places" do
    rings = [{"shape" => "ring", "outside" => 9, "inside" => 6, "x" => -3},
      {"shape" => "ring", "outside" => 9, "inside" => 6, "x" => 3}]
    worked = Lantern.work(form(rings))
    expect(worked["form"]["run"]).to be_within(1e-3).of(2 * Math::PI * 7.5)
    expect(worked["form"]["wide_run"]).to be_within(1e-3).of(2 * Math::PI * 9)
    expect(worked["form"]["findings"][0]["says"]).to match(/meet in 2 places/)
    # Circles of radius 3.75 about points 6 apart cross where Pythagoras says.
    said = Lantern::Form.shapes[:composite].new(Lantern::Plan::Document.read(form(rings)).form.sizes, units: "in").ties
    expect(said.map { |x, y| [x.abs, y.abs] })
      .to all(match([be_within(0.02).of(0), be_within(0.02).of(Math.sqrt(3.75**2 - 9))]))
  end

  it "changes nothing when the whole is turned or mirrored" do
    rings = [{"shape" => "heart", "width" => 12, "height" => 12},
      {"shape" => "oval", "width" => 9, "height" => 14, "x" => 2}]
    turned = rings.map { _1.merge("turn" => 90, "mirror" => true) }
    figures = [rings, turned].map {
      Lantern.work(form(_1))["form"].slice("run", "wide_run", "crowded_run")
        .values.map { |each| each.round(3) }
    }
    expect(figures.uniq.size).to eq 1
  end

  it "draws no strip from one part across to the next" do
    document = form(heart).merge("materials" => [ribbon(width: 1)], "layers" => [layer("spiral_wrap", "tape")])
    strips = Lantern.work(document)["drawing"]["layers"][0]["front"].map { _1["points"].each_slice(2).to_a.transpose }
    expect(strips.map { |xs, ys| Math.hypot(xs.max - xs.min, ys.max - ys.min) }).to all(be < 4)
  end

  it "refuses what cannot be joined, at the part it is about" do
    expect(problems(form(heart.first(1)))).to have_key("form.parts")
    expect(problems(form([heart[0], cane(cut_start: 40)])))
      .to match("form.parts.1.cut_start" => /leaves nothing of a part/)
    expect(problems(form([heart[0], {"shape" => "oval", "width" => 10, "height" => 12, "cut_end" => 2}])))
      .to match("form.parts.1.cut_start" => /nothing to cut off/)
    expect(problems(form([heart[0], {"shape" => "composite"}]))).to match("form.parts.1.shape" => /Shape must be/)
    expect(problems(form([heart[0], heart[0]]))).to match("form.parts.0.width" => /place of their own/)
    expect(problems(form([heart[0], cane(height: 2)]))).to match("form.parts.1.height" => /higher than its hook/)
    expect(problems(form([heart[0], cane(x: "nowhere")]))).to have_key("form.parts.1.x")
  end

  # A ring on a ring, each in its own ribbon: what each takes is what it would take alone.
  describe "of parts that differ" do
    let(:parts) do
      [{"shape" => "ring", "outside" => 14, "inside" => 10},
        {"shape" => "ring", "outside" => 9, "inside" => 6, "over" => true, "base" => "board"}]
    end

    def figures(form, **more)
      Lantern.work(plan(materials: [ribbon], layers: [layer("spiral_wrap", "tape", **more)]).merge("form" => form))
    end

    it "works each part with its own base and face, as it would alone" do
      joined = {"base" => "foam", "shape" => "composite", "parts" => parts}
      alone = [figures({"base" => "foam", "shape" => "ring", "outside" => 14, "inside" => 10}),
        figures({"base" => "board", "shape" => "ring", "outside" => 9, "inside" => 6})]
      one, two = [1, 2].map { figures(joined, part: _1) }
      expect([one, two].map { _1["layers"][0]["figures"] }).to eq(alone.map { _1["layers"][0]["figures"] })
      both = figures(joined)["layers"][0]
      expect(both["figures"]["length"])
        .to be_within(1e-6).of(alone.sum { _1["layers"][0]["figures"]["length"] })
      expect(both["needs"].sum { _1["length"] }).to be_within(1e-3).of(both["figures"]["length"])
      expect(both["bare"]).to eq []
      expect(both["minutes"]).to be_within(0.11).of([one, two].sum { _1["layers"][0]["minutes"] })
    end

    it "glues what lies on top, and ties what lies beside" do
      codes = ->(over) {
        laid = [parts[0], parts[1].merge("over" => over, "x" => 6)]
        figures({"base" => "foam", "shape" => "composite", "parts" => laid})["form"]["findings"].map { _1["code"] }
      }
      expect(codes.call(true)).to eq ["glue_parts"]
      expect(codes.call(false)).to eq ["tie_parts"]
    end
  end

  it "comes back from centimetres as it was" do
    there = Lantern::Plan::Units.change(form(heart), to: "cm")
    expect(there["form"]["parts"][0]["x"]).to be_within(1e-9).of(-1.016)
    expect(Lantern::Plan::Units.change(there, to: "in")).to eq form(heart)
  end
end
