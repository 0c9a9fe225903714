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

  it "draws what can be dragged out on the drawing as long as it is, or longer and shorter with it" do
    dragged = described_class.options.select { _1.respond_to?(:drawn) && _1.drawn.any? }
    expect(dragged.map(&:name)).to eq %i[loop_size tail]
    dragged.each do |option|
      long = [4, 8].map { |said|
        work(materials: [wired], layers: [layer("bow", "tape", **{option.name => said})])["drawing"]["layers"]
          .find { option.drawn.map(&:to_s).include?(_1["kind"]) }["front"][0]["points"].each_slice(2).first(2)
          .then { |(ax, ay), (bx, by)| Math.hypot(bx - ax, by - ay) }
      }
      expect(long[1] / long[0]).to be_within(0.01).of(2)
    end
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
    expect(bow(kind: "flat_glued", loops: 2, loop_size: 4, tail: 4)["needs"].map { [_1["count"], _1["length"]] })
      .to eq [[2, 9], [1, 8], [1, 4.5]]
    girth = work(materials: [wired], layers: [layer("bow", "tape")])["form"]["girth"]
    # Two tails of 5, two loops of 3, round the band, and four widths for the knot, up to the mark.
    expect(bow(kind: "shoelace")["figures"]["length"]).to be_between(10 + 12 + girth + 6, 10 + 12 + girth + 6.125)
    # Through a bow there is no band to go round.
    over = work(materials: [wired], layers: [layer("bow", "tape"), layer("bow", "tape", kind: "shoelace", on: "one",
      loop_size: 3, id: "over")])
    expect(over["layers"][1]["figures"]["length"]).to eq 10 + 12 + 6
    expect(over["steps"].find { _1["layer"] == "over" }["says"]).to include "Round the middle of what it sits on"
  end

  # Read aloud, every measure is in it.
  it "tells its measures in the step that makes it, whatever its kind" do
    says = ->(**options) {
      work(materials: [wired, wired(id: "rust", name: "Rust tape")], layers: [layer("bow", "tape", **options)])["steps"]
        .find { _1["id"] == "one.make" }["says"]
    }
    {{} => /\AMarigold tape: tail 6 in, 4 loops of 4 in laid flat, tail 6 in: 44 in\./,
     {kind: "stacked_strips"} => /\AMarigold tape, 4 of them: a strip 18 in long\./,
     {kind: "layered_loops", loops: 2} =>
       /a ring 4 in long laid flat: 9 in\. Marigold tape: a ring 2 in long laid flat: 5 in\./,
     {kind: "folded_many"} => /8 loops of 4 in: 64 in\. Marigold tape: a strip of 12 in folded in the middle/,
     {kind: "flat_glued"} => /, its ends behind\. Dovetail/,
     {kind: "accordion"} => /10 loops of 3 in: 60 in/,
     {centre_loop: 2} => /a loop of 2 in at the centre, tail 6 in: 48 in/,
     {materials: %w[rust]} =>
       /44 in\. Rust tape: tail 6 in.*Lay them on one another: Marigold tape undermost, then Rust/}
      .each { |options, told| expect([options, says.call(**options)]).to match [options, told] }
  end

  # What is read aloud is what lies on the table.
  it "tells every length as it is cut, up to the mark, and what holds it together" do
    {"in" => 1, "cm" => 2.54}.each do |units, an_inch|
      found = work(units:, materials: [wired],
        layers: [layer("bow", "tape", kind: "layered_loops", loops: 3, loop_size: 4, tail: 5)])
      told = found["steps"].find { _1["id"] == "one.make" }["says"]
      lengths = told.scan(/(?:laid flat: |a strip of )([\d .\/]+ #{units})/).flatten
      expect(lengths.map { Lantern::Measure::Length.read(_1, units:).to_f * an_inch })
        .to match(found["layers"][0]["needs"].map { be_within(1e-6).of(_1["length"]) })
      expect(told).to include "Half a chenille stem under all of it at the middle"
    end
  end

  it "is fixed on the bow that it sits on, not round the band" do
    titles = work(materials: [wired], layers: [layer("bow", "tape"), layer("bow", "tape", kind: "shoelace", on: "one")
      .merge("id" => "top"), layer("bow", "tape", on: "one").merge("id" => "last")])["steps"].map { _1["title"] }
    expect(titles).to include("Fix the bow at 6 o’clock", "Tie the bow on the bow, through its middle",
      "Fix the bow on the bow, through its middle")
  end

  it "cuts every ribbon of a stack, by number or by name" do
    two = [wired, wired(id: "rust", name: "Rust tape")]
    both = work(materials: two, layers: [layer("bow", "tape", materials: %w[tape rust])])["layers"][0]
    expect(both["needs"].map { _1.values_at("material", "length", "count") }).to eq [["tape", 44, 1], ["rust", 44, 1]]
    expect(work(materials: two, layers: [layer("bow", "tape", ribbons: %w[rust rust tape])])["layers"][0]["needs"]
      .map { _1.values_at("material", "count") }).to eq [["rust", 2], ["tape", 1]]
    expect(bow(ribbons: 3)["needs"][0]["count"]).to eq 3
    expect(problems(plan(materials: two, layers: [layer("bow", "tape", ribbons: %w[nobody])])).keys)
      .to eq ["layers.0.ribbons.0"]
  end

  it "judges the bow by the wreath, its ribbon and its back, and mends what can be mended" do
    expect(codes(bow)).not_to include "proportion"
    small = bow(loop_size: 1)
    expect(codes(small)).to include "proportion"
    expect(codes(bow(**small["findings"].find { _1["code"] == "proportion" }["try"].transform_keys(&:to_sym))))
      .not_to include "proportion"
    soft = work(materials: [ribbon], layers: [layer("bow", "tape")])["layers"][0]
    expect(soft["findings"].find { _1["code"] == "wants_wire" }["try"]).to eq("loop_size" => "3 in")
    expect(codes(work(materials: [ribbon], layers: [layer("bow", "tape", loop_size: 3)])["layers"][0]))
      .not_to include "wants_wire"
    expect(codes(bow(kind: "two_loop"))).to include "both_sides"
  end

  it "finds the biggest that is left on the roll, and no bigger" do
    Lantern::Trim::Pieces.bows.each_key do |kind|
      document = plan(materials: [wired(on_hand: [80], offers: [])], layers: [layer("bow", "tape", kind: kind.to_s)])
      found = Lantern::Ask::Backwards.new(document, layer: 0).to_a.find { _1["says"].start_with?("The largest loops") }
      next expect(kind).to eq(:stacked_strips) unless found
      fits = ->(size) {
        Lantern.work(
              document.merge("layers" => [document["layers"][0].merge("loop_size" => size)])
            )["materials"][0]["short"].zero?
      }
      expect(fits.call(found["try"]["loop_size"])).to be(true), kind.to_s
      # An eighth more does not fit, but for the kinds that are as wide as the wreath already.
      more = Lantern::Measure::Length.read(found["try"]["loop_size"], units: "in") + Rational(1, 8)
      expect(fits.call(more.to_f)).to be(false), kind.to_s unless more > 13.8
    end
  end

  it "sits where the clock says, upright, to scale" do
    {12 => [0, -1], 3 => [1, 0], 6 => [0, 1], 9 => [-1, 0]}.each do |hour, (x, y)|
      loops = work(materials: [wired], layers: [layer("bow", "tape", at: hour)])["drawing"]["layers"]
        .find { _1["unit"] == "bow_loops" }
      loops["front"].each do |loop|
        expect(loop["points"][0]).to be_within(0.06).of(5.5 * x)
        expect(loop["points"][1]).to be_within(0.06).of(5.5 * y)
        expect(Math.hypot(loop["points"][2] - loop["points"][0], loop["points"][3] - loop["points"][1]))
          .to be_within(1e-3).of(4 * 0.85)
      end
    end
    expect(problems(plan(materials: [wired], layers: [layer("bow", "tape", at: 13)])).keys).to eq ["layers.0.at"]
  end

  it "is drawn and worked on every form, whatever its kind" do
    Lantern::Form.shapes.each do |name, shape|
      document = plan(form: {"base" => "wire", "shape" => name.to_s, **shape.typical.transform_keys(&:to_s)},
        materials: [wired], layers: [layer("bow", "tape", at: 7.5,
          kind: Lantern::Trim::Pieces.bows.keys.sample(random: Random.new(name.length)).to_s)])
      worked = Lantern.work(document)
      expect(worked["drawing"]["layers"].flat_map { _1["front"] }.flat_map { _1["points"] }).to all(be_finite)
      expect(worked["drawing"]["layers"]).not_to be_empty
    end
  end
end
