# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "Coverings, asked over HTTP", :api, :store do
  it "compares all of them, of what the plan and the stash hold" do
    stash.each { |material| ask(:post, "/materials", {units: "in", material:}) }
    compared = ask(:post, "/ask/coverings", plan(form: gourd))["coverings"]
    expect(status).to eq 200
    expect(compared.map { _1["method"] }).to match_array coverings.map { _1.method_name.to_s }
    expect(compared.map { _1["suits"] }).to all(be true)
    metric = ask(:post, "/ask/coverings", plan(form: {"base" => "foam", "outside" => 35, "inside" => 25})
      .merge("units" => "cm"))["coverings"]
    expect(metric.find { _1["method"] == "spiral_wrap" }["length_says"]).to match(/\d m\z/)
  end

  it "works them backwards, and from a sum of money" do
    wrap = plan(form: foam(12, 8), materials: [ribbon(on_hand: [150, 62])], layers: [layer("spiral_wrap", "tape")])
    expect(ask(:post, "/ask/backwards", {plan: wrap, layer: 0})["answers"])
      .to include(include("try" => {"lap" => "1/4 in"}))
    expect(ask(:post, "/ask/backwards", {plan: wrap, layer: 0, budget: "9.60"})["answers"][0]["says"])
      .to match(/9.60 is enough/)
    expect(ask(:post, "/ask/backwards", {plan: wrap, layer: 0, budget: "lots"})["problems"])
      .to match [include("at" => "budget")]
    expect(ask(:post, "/ask/backwards", {plan: wrap, layer: 7})["problems"]).to match [include("at" => "layer")]
    expect(status).to eq 422
  end

  it "says how much of the form shows, and where" do
    bare = ask(:post, "/ask/bare",
      plan(form: foam(14, 10), materials: [rope], layers: [layer("rope_coil", "rope", school: "even")]))
    expect(bare["inside"]).to be > bare["outside"]
    expect(bare["patches"].map { |x, y| Math.hypot(x, y) }).to all(be_between(5, 7))
    expect(ask(:post, "/ask/bare", plan(form: {"inside" => 20}))["problems"]).to match [include("at" => "form.inside")]
  end

  # One file: a covering, and a figure and a move of its own. A way of lying of its own is spec/core/house.
  it "knows a covering that was added in a dozen lines, with no other file touched" do
    Class.new(Lantern::Cover::Covering) do
      covering :swag, title: "Swag", takes: %i[rope], summary: "Rope hung from side to side."
      hands :tack
      laid :line
      option :drop, :length, default: 4r, label: "Drop"
      figure :length, :length, "Rope in all"

      def length = form.run + drop

      def needs = [run(what: "swag", material: material.id, length:)]

      def lies
        [Lantern::Place::Lie::Line.new(layer: id, unit: :rounds, materials: [material], width: 0.25,
          front: [{points: form.path.trace(0.0)}])]
      end
    end
    declared = ask(:get, "/declarations")["coverings"].find { _1["method"] == "swag" }
    expect(declared["options"]).to match [include("name" => "drop", "label" => "Drop", "kind" => "length")]
    expect(declared["figures"]).to eq [{"key" => "length", "kind" => "length", "label" => "Rope in all"}]
    worked = ask(:post, "/work", plan(form: foam(14, 10), materials: [rope], layers: [layer("swag", "rope", drop: 6)]))
    expect(worked["layers"][0]["needs"][0]["length"]).to be_within(1e-3).of(12 * Math::PI + 6)
    expect(worked["drawing"]["layers"][0]["front"].size).to eq 1
  ensure
    Lantern::Plan::Methods.forget(:swag)
  end

  it "names every move and stage of the core, and how every lie looks, so that no screen is without a picture of one" do
    schemas = YAML.load_file(Server::App::CONTRACT)["components"]["schemas"]
    expect(schemas["StageKey"]["enum"]).to eq Lantern::Stage::ALL.keys.map(&:to_s)
    declared = ask(:get, "/declarations")
    expect(declared["moves"].map { _1["key"] }).to match_array(Lantern::Place::Move::ALL.keys.map(&:to_s))
      .and include("knot", "pinch_and_twist")
    expect(declared["lies"].keys).to match_array Lantern::Place::Lie::KINDS.keys.map(&:to_s)
    expect(declared["textures"].map { _1["key"] }).to match_array Lantern::Plan::Material::TEXTURES.keys.map(&:to_s)
  end

  it "answers with the problems of a plan that cannot be worked, as an answer, where a screen asks" do
    tried = ask(:post, "/ask/try", plan(form: {"inside" => 20}))
    expect(status).to eq 200
    expect(tried["problems"]).to match [include("at" => "form.inside")]
    expect(tried).not_to have_key("worked")
    expect(ask(:post, "/ask/try", plan)["worked"]["form"]["run"]).to be_within(1e-3).of(11 * Math::PI)
    expect(ask(:post, "/work", plan(form: {"inside" => 20}))["problems"].size).to eq 1
    expect(status).to eq 422
  end
end
