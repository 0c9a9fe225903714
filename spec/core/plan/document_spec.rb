# frozen_string_literal: true

RSpec.describe Lantern::Plan::Document do
  let(:good) { example_plan("door-7-rope-ring") }

  # The document with another value at a place; :gone takes the key out.
  def with(document, place, value)
    copy = JSON.parse(JSON.generate(document))
    *way, last = place.split(".").map { _1.match?(/\A\d+\z/) ? _1.to_i : _1 }
    holder = way.reduce(copy) { |inner, key| inner[key] }
    (value == :gone) ? holder.delete(last) : holder[last] = value
    copy
  end

  it "works every plan of the examples, the same every time" do
    Dir[File.expand_path("../../../docs/examples/*.json", __dir__)].each do |file|
      document = JSON.parse(File.read(file))
      expect(JSON.generate(Lantern.work(document))).to eq JSON.generate(Lantern.work(document))
    end
  end

  it "finds every problem at once, none hidden behind the first" do
    bad = good.merge("units" => "ell", "quantity" => 0, "sureness" => 2, "colour" => "red",
      "form" => {"base" => "wire", "shape" => "ring", "outside" => 14, "inside" => 15, "rails" => 1},
      "materials" => [{"id" => "rope", "kind" => "rope", "diameter" => -1}])
    expect(problems(bad).keys).to include("units", "quantity", "sureness", "colour", "form.rails", "materials.0.name",
      "materials.0.diameter")
  end

  it "names the geometry's problem beside those of other parts" do
    found = problems(good.merge("quantity" => 0, "form" => good["form"].merge("inside" => 15)))
    expect(found).to include("quantity" => /from 1 to 500/,
      "form.inside" => "The opening (15 in) must be smaller than the form (14 in).")
  end

  it "finds the problems of all layers" do
    bad = good.merge("layers" => [{"id" => "a", "method" => "rope_coil"},
      {"id" => "b", "method" => "knotted_strips", "material" => "rope"}])
    expect(problems(bad).keys).to eq %w[layers.0.material layers.1.material]
  end

  # A document of every field there is, so that each can be spoiled in turn.
  let(:full) do
    plan(name: "All", quantity: 2, sureness: 0.9, smallest_mark: "1/8", smallest_remnant: 6,
      form: {"sections" => 2, "measured" => {"run" => 34.5, "inside_run" => 25, "outside_run" => 44, "girth" => 6.5}},
      materials: [rope(diameter: 2, on_hand: [40], colour: "#aabbcc", texture: "twist", notes: "n"),
        ribbon(thickness: 0.02, wired: true, sheer: false, directional: true,
          offers: [{"length" => 100, "price" => "1.00", "sale_price" => "0.80"}]),
        cloth(on_hand: [{"width" => 10, "length" => 10}])],
      layers: [
        layer("rope_coil", "rope", school: "even", accepted_gap: 0.2, squash: 1.0, filler_length: 7),
        layer("spiral_wrap", "tape", lap: 0.25, pieces: "short", strip_width: 1, strip_length: 20).merge("id" => "two"),
        layer("knotted_strips", "cloth", materials: ["tape"], strip_width: 1, tail: 3, rail: 1, per_section: 3,
          packed_pitch: 2, order: "spread", mix: [1, 1], spare: 0.05,
          test_piece: {"cut" => 9, "tails" => 6, "strips" => 4, "covers" => 2}).merge("id" => "three")
      ])
  end

  def places(value, at = nil)
    case value
    when Hash then value.flat_map { |key, inner|
      [[at, key].compact.join("."),
        *places(inner, [at, key].compact.join("."))]
    }
    when Array then value.each_with_index.flat_map { |inner, i| ["#{at}.#{i}", *places(inner, "#{at}.#{i}")] }
    else []
    end
  end

  it "takes the full document" do
    expect(problems(full)).to eq({})
  end

  it "answers every wrong value anywhere with a sentence, never an error", :thorough do
    spoilers = [nil, true, "", "<script>alert(1)</script>", -1, 0, 1e300, 10**40, 0.1 + 0.2, "9" * 500, [],
      {"a" => 1}, "\u0000", "1/0", "12 furlongs"]
    places(full).each do |place|
      spoilers.each do |spoiler|
        found = problems(with(full, place, spoiler))
        expect(found.values).to all(match(/\A\S.*[.”]\z/m)), "#{place} = #{spoiler.inspect}: #{found}"
        expect(found.values.map(&:length)).to all(be < 420)
      end
    end
  end

  it "names the place of a value of the wrong type" do
    %w[form.outside materials.0.diameter materials.0.offers.0.length layers.0.accepted_gap quantity
      form.measured.girth layers.2.test_piece.cut smallest_mark materials.2.on_hand.0.width].each do |place|
      expect(problems(with(full, place, {"a" => 1}))).to have_key(place)
      expect(problems(with(full, place, -2))).to have_key(place)
      expect(problems(with(full, place, 1e12))).to have_key(place)
    end
  end

  it "says what is missing, and what an unknown key might have meant" do
    {"format" => /missing/, "version" => /missing/, "units" => /missing/, "form" => /missing/,
     "form.shape" => /missing/, "materials.0.diameter" => /missing/, "materials.0.offers.0.price" => /missing/,
     "layers.0.method" => /missing/}.each do |place, says|
      expect(problems(with(full, place, :gone))).to include(place => says)
    end
    expect(problems(good.merge("quantitty" => 2)))
      .to eq("quantitty" => "“quantitty” is not known here; did you mean “quantity”?")
    expect(problems(with(good, "layers.0.shcool", "even"))).to match("layers.0.shcool" => /did you mean “school”/)
    expect(problems(with(good, "form.thickness", 1))).to match("form.thickness" => /not known here/)
  end

  it "refuses what is no plan at all" do
    [nil, 3, "plan", [], {}].each { |document| expect(problems(document)).not_to be_empty }
    expect(problems({})).to include("format" => "The format is missing: it must be crisp-lantern/plan.")
  end

  it "refuses two materials or layers of one id, and ids that are not there" do
    expect(problems(good.merge("materials" => good["materials"] * 2))).to have_key("materials")
    expect(problems(with(good, "layers.0.material", "chain")))
      .to match("layers.0.material" => "There is no material “chain” in this plan.")
    expect(problems(with(good, "materials.0.id", "<b>"))).to have_key("layers.0.material")
  end

  it "keeps money exact: only decimal texts will do" do
    [1.75, 2, "1,75", "1.75 €", "-1", "", "1e3", "99999999"]
      .each { |price|
      expect(problems(with(good, "materials.0.offers.0.price", price)))
        .to have_key("materials.0.offers.0.price")
    }
  end
end
