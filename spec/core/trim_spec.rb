# frozen_string_literal: true

RSpec.describe Lantern::Trim::Bow do
  def wired(**more) = ribbon(wired: true, **more)

  def bow(**options) = work(materials: [wired], layers: [layer("bow", "tape", **options)])["layers"][0]

  def codes(found) = found["findings"].map { _1["code"] }

  # Common practice: tails of 6 in and two 4 in loops a side take 44 in.
  it "takes 44 in for a pinch-and-twist bow of four 4 in loops and 6 in tails" do
    expect(bow(kind: "pinch_and_twist", tail: 6, loops: 4, loop_size: 4)["figures"]["length"]).to eq 44
    expect(bow["figures"]["length"]).to eq 44
    # Half an inch a pinch, five of them, and a loop in the centre.
    expect(bow(twist: 0.5, centre_loop: 2)["figures"]["length"]).to eq 44 + 5 * 0.5 + 4 + 0.0
  end

  # Common practice: four stretches of 6 in are 24 in; four, or three, strips of 18 in.
  it "takes 24 in for a hand-tied bow of two loops, and 72 and 54 in for stacked strips" do
    expect(bow(kind: "two_loop")["figures"]["length"]).to eq 24
    expect(bow(kind: "stacked_strips")["needs"][0]).to include("count" => 4, "length" => 18)
    expect(bow(kind: "stacked_strips", strips: 3)["figures"]["length"]).to eq 54
  end

  # Each kind's own sum: 2 x size + 1 a ring; 2 x loops x size; the girth round a band.
  it "adds up every other kind as its folds go" do
    expect(bow(kind: "layered_loops", loops: 3, loop_size: 3)["needs"].map { _1["length"] }).to eq [7, 5, 3]
    expect(bow(kind: "folded_many", loops: 8, loop_size: 4, tail: 6)["needs"].map { _1["length"] }).to eq [64, 12]
    expect(bow(kind: "accordion", loops: 10, loop_size: 3)["needs"].map { _1["length"] }).to eq [60]
    expect(bow(kind: "awareness", tail: 3, loop_size: 3)["figures"]["length"]).to eq 12
    expect(bow(kind: "flat_glued", loops: 2, loop_size: 4, tail: 4)["needs"].map { [_1["count"], _1["length"]] }).to eq [[2, 9], [1, 4.5], [1, 8]]
    girth = work(materials: [wired], layers: [layer("bow", "tape")])["form"]["girth"]
    # Two tails of 5, two loops of 3, round the band, and four widths for the knot, up to the mark.
    expect(bow(kind: "shoelace")["figures"]["length"]).to be_between(10 + 12 + girth + 6, 10 + 12 + girth + 6.125)
  end

  it "cuts every ribbon of a stack, by number or by name" do
    two = [wired, wired(id: "rust", name: "Rust tape")]
    both = work(materials: two, layers: [layer("bow", "tape", materials: %w[tape rust])])["layers"][0]
    expect(both["needs"].map { _1.values_at("material", "length", "count") }).to eq [["tape", 44, 1], ["rust", 44, 1]]
    expect(work(materials: two, layers: [layer("bow", "tape", ribbons: %w[rust rust tape])])["layers"][0]["needs"].map { _1.values_at("material", "count") }).to eq [["rust", 2], ["tape", 1]]
    expect(bow(ribbons: 3)["needs"][0]["count"]).to eq 3
    expect(problems(plan(materials: two, layers: [layer("bow", "tape", ribbons: %w[nobody])])).keys).to eq ["layers.0.ribbons.0"]
  end

  it "judges the bow by the wreath, its ribbon and its back, and mends what can be mended" do
    expect(codes(bow)).not_to include "proportion"
    small = bow(loop_size: 1)
    expect(codes(small)).to include "proportion"
    expect(codes(bow(**small["findings"].find { _1["code"] == "proportion" }["try"].transform_keys(&:to_sym)))).not_to include "proportion"
    soft = work(materials: [ribbon], layers: [layer("bow", "tape")])["layers"][0]
    expect(soft["findings"].find { _1["code"] == "wants_wire" }["try"]).to eq("loop_size" => "3 in")
    expect(codes(work(materials: [ribbon], layers: [layer("bow", "tape", loop_size: 3)])["layers"][0])).not_to include "wants_wire"
    expect(codes(bow(kind: "two_loop"))).to include "both_sides"
  end

  it "finds the biggest that is left on the roll, and no bigger" do
    Lantern::Trim::Bows.kinds.each_key do |kind|
      document = plan(materials: [wired(on_hand: [80], offers: [])], layers: [layer("bow", "tape", kind: kind.to_s)])
      found = Lantern::Cover::Backwards.new(document, layer: 0).to_a.find { _1["says"].start_with?("The largest loops") }
      next expect(kind).to eq(:stacked_strips) unless found
      fits = ->(size) { Lantern.work(document.merge("layers" => [document["layers"][0].merge("loop_size" => size)]))["materials"][0]["short"].zero? }
      expect(fits.call(found["try"]["loop_size"])).to be(true), kind.to_s
      # An eighth more does not fit, but for the kinds that are as wide as the wreath already.
      more = Lantern::Measure::Length.read(found["try"]["loop_size"], units: "in") + Rational(1, 8)
      expect(fits.call(more.to_f)).to be(false), kind.to_s unless more > 13.8
    end
  end

  it "sits where the clock says, upright, to scale" do
    {12 => [0, -1], 3 => [1, 0], 6 => [0, 1], 9 => [-1, 0]}.each do |hour, (x, y)|
      loops = work(materials: [wired], layers: [layer("bow", "tape", at: hour)])["drawing"]["layers"].find { _1["what"] == "loops" }
      loops["front"].each do |loop|
        expect(loop["points"][0]).to be_within(0.06).of(5.5 * x)
        expect(loop["points"][1]).to be_within(0.06).of(5.5 * y)
        expect(Math.hypot(loop["points"][2] - loop["points"][0], loop["points"][3] - loop["points"][1])).to be_within(1e-3).of(4 * 0.85)
      end
    end
    expect(problems(plan(materials: [wired], layers: [layer("bow", "tape", at: 13)])).keys).to eq ["layers.0.at"]
  end

  it "is drawn and worked on every form, whatever its kind" do
    Lantern::Form.shapes.each do |name, shape|
      document = plan(form: {"base" => "wire", "shape" => name.to_s, **shape.typical.transform_keys(&:to_s)}, materials: [wired], layers: [layer("bow", "tape", at: 7.5, kind: Lantern::Trim::Bows.kinds.keys.sample(random: Random.new(name.length)).to_s)])
      worked = Lantern.work(document)
      expect(worked["drawing"]["layers"].flat_map { _1["front"] }.flat_map { _1["points"] }).to all(be_finite)
      expect(worked["drawing"]["layers"]).not_to be_empty
    end
  end
end

RSpec.describe "Hanging and fixing" do
  let(:felt) { cloth("id" => "felt", "name" => "Felt", "offers" => [{"width" => 36, "length" => 36, "price" => "3.00"}]) }

  def codes(worked, layer = 0) = worked["layers"][layer]["findings"].map { _1["code"] }

  # Common practice: 12 in of knotted strip, a chenille stem of about 12 in.
  it "knows every hanger's length and knot" do
    {"knotted_strip" => [ribbon, 12], "larks_head" => [rope, 24], "ribbon_loop" => [ribbon, 8], "rope_ends" => [rope, 10]}.each do |kind, (material, length)|
      made = work(materials: [material], layers: [layer("hanger", material["id"], kind:)])["layers"][0]
      expect(made["needs"]).to match [include("count" => 1, "length" => length)]
    end
    expect(work(materials: [stash[6]], layers: [layer("hanger", "ties", kind: "chenille")])["layers"][0]["needs"][0]["count"]).to eq 1
    expect(problems(plan(materials: [ribbon], layers: [layer("hanger", "tape", kind: "chenille")])).values.first).to match(/Chenille stem takes tie or wire/)
  end

  it "fits the hanger before the covering or at the end, and never forgets it" do
    coil = layer("rope_coil", "rope", id: "base")
    ids = ->(*layers) { work(materials: [rope, felt], layers:)["steps"].map { _1["id"] } }
    expect(ids.call(coil, layer("hanger", "rope", id: "h"))).to eq %w[prepare h.hang cut base.coil base.fill fluff]
    expect(ids.call(coil, layer("backing", "felt", id: "b"), layer("hanger", "rope", id: "h", fitted: "last"))).to eq %w[prepare cut base.coil base.fill h.hang b.back fluff]
    expect(work(materials: [rope], layers: [coil])["findings"].map { _1["code"] }).to eq ["no_hanger"]
    hung = work(materials: [rope], layers: [coil, layer("hanger", "rope", id: "h")])
    expect(hung["findings"]).to eq []
    expect(hung["stages"]).to include("hang" => true, "trim" => false)
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
    loop = work(materials: [ribbon], layers: [layer("hanger", "tape", kind: "ribbon_loop"), layer("attach", id: "sign", what: "sign", weight: "1 kg", fixing: "wire")])
    expect(codes(loop)).to eq ["heavy_for_glue"]
  end

  it "puts things by the clock, side by side" do
    picks = work(layers: [layer("attach", what: "bloom", count: 3, at: 3, size: 2)])["drawing"]["layers"][0]["front"].map { _1["points"] }
    expect(picks[0]).to match [be_within(0.1).of(5.5), be_within(0.1).of(0)]
    expect(picks.each_cons(2).map { |a, b| Math.hypot(a[0] - b[0], a[1] - b[1]) }).to all(be_within(0.05).of(2.1))
  end

  it "cuts the back to the outline less a margin" do
    back = work(materials: [felt], layers: [layer("backing", "felt", margin: 0.25)])
    expect(back["layers"][0]["needs"][0]).to include("width" => 13.5, "length" => 13.5)
    # A ring of 13.5 and 8.5 in.
    expect(back["layers"][0]["figures"]["area"]).to be_within(0.05).of(PI / 4 * (13.5**2 - 8.5**2))
    expect(back["drawing"]["layers"][0].values_at("front", "width")).to eq [[], 2.5]
    expect(problems(plan(materials: [felt], layers: [layer("backing", "felt", margin: 1.5)])).values.first).to match(/leaves nothing/)
  end
end

RSpec.describe Lantern::Bench::Supplies do
  # A bead 1/8 in (3.175 mm) across and 100 in (2540 mm) long is 20110 mm3; a stick of 7 by 100 mm is 3848 mm3.
  it "counts sticks of glue from the bead's volume" do
    worked = work(form: foam(14, 8), materials: [rope], layers: [layer("seam_cord", "rope", rounds: 2)])
    bead = worked["supplies"]["bead"]
    expect(bead).to be_within(0.01).of(2 * worked["form"]["run"])
    volume = PI / 4 * 3.175**2 * bead * 25.4
    expect(worked["supplies"]["sticks"]).to eq (volume / (PI / 4 * 7**2 * 100)).ceil
  end

  it "buys the plan's own glue by the stick, thicker ones fewer" do
    glue = {"id" => "glue", "kind" => "glue", "name" => "Glue sticks", "offers" => [{"count" => 10, "price" => "2.00"}]}
    thin = work(materials: [rope, glue], layers: [layer("seam_cord", "rope", rounds: 4)], quantity: 5)
    thick = work(materials: [rope, glue.merge("diameter" => "11 mm")], layers: [layer("seam_cord", "rope", rounds: 4)], quantity: 5)
    sticks = [thin, thick].map { |worked| worked["materials"].find { _1["id"] == "glue" }["needed"] }
    expect(sticks[0]).to eq thin["supplies"]["sticks"]
    # (11/7)^2: two and a half times as thick.
    expect(sticks[0].fdiv(sticks[1])).to be_within(0.15).of((11 / 7.0)**2)
    expect(BigDecimal(thin["materials"].find { _1["id"] == "glue" }["cost_to_buy"])).to be_positive
  end

  it "asks half a stem for a bow, two for a heavy part, and two ties each" do
    layers = [layer("bow", "tape", id: "bow"), layer("attach", id: "sign", fixing: "chenille"), layer("attach", id: "more", fixing: "ties", count: 3)]
    expect(work(materials: [ribbon], layers:)["supplies"]).to include("stems" => 3, "ties" => 6)
  end
end

RSpec.describe Lantern::Bench::Moves do
  it "has a picture, a look and its cautions for every step of every covering and trim" do
    felt = cloth("id" => "felt")
    layers = Lantern::Cover.all.each_with_index.map { |covering, i| (covering.method_name == :attach) ? layer("attach", id: "l#{i}") : any_layer(covering).merge("id" => "l#{i}") }
    layers.each do |each|
      steps = work(form: gourd, materials: stash + [felt], layers: [each])["steps"]
      expect(steps).to all(include("move", "look"))
      expect(steps.map { _1["move"] }.uniq - described_class::ALL.keys.map(&:to_s)).to eq []
      expect(steps.map { _1["id"] }.uniq.size).to eq steps.size
      expect(steps.select { _1["count"] }.map { _1["unit"] }).to all(be_a(String))
    end
  end

  it "says how a count goes in rounds" do
    inlay = Lantern.work(example_plan("door-1-ribbon-laid-in"))
    step = inlay["steps"].find { _1["pattern"] }
    figures = inlay["layers"][0]["figures"]
    expect(step["pattern"].sum { _1["count"] } * figures["repeats"]).to eq step["count"]
  end
end

RSpec.describe Lantern::Draw::Template do
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
