# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "Coverings, asked over HTTP", :api, :store do
  it "compares all of them, of what the plan and the stash hold" do
    stash.each { |material| ask(:post, "/materials", {units: "in", material:}) }
    coverings = ask(:post, "/coverings", plan(form: gourd))["coverings"]
    expect(status).to eq 200
    expect(coverings.map { _1["method"] }).to match_array Lantern::Cover.coverings.map { _1.method_name.to_s }
    expect(coverings.map { _1["suits"] }).to all(be true)
    metric = ask(:post, "/coverings", plan(form: {"base" => "foam", "outside" => 35, "inside" => 25}).merge("units" => "cm"))["coverings"]
    expect(metric.find { _1["method"] == "spiral_wrap" }["length_says"]).to match(/\d m\z/)
  end

  it "works them backwards, and from a sum of money" do
    wrap = plan(form: foam(12, 8), materials: [ribbon(on_hand: [150, 62])], layers: [layer("spiral_wrap", "tape")])
    expect(ask(:post, "/backwards", {plan: wrap, layer: 0})["answers"]).to include(include("try" => {"lap" => "1/4 in"}))
    expect(ask(:post, "/backwards", {plan: wrap, layer: 0, budget: "9.60"})["answers"][0]["says"]).to match(/9.60 is enough/)
    expect(ask(:post, "/backwards", {plan: wrap, layer: 0, budget: "lots"})["problems"]).to match [include("at" => "budget")]
    expect(ask(:post, "/backwards", {plan: wrap, layer: 7})["problems"]).to match [include("at" => "layer")]
    expect(status).to eq 422
  end

  it "says how much of the form shows, and where" do
    bare = ask(:post, "/bare", plan(form: foam(14, 10), materials: [rope], layers: [layer("rope_coil", "rope", school: "even")]))
    expect(bare["inside"]).to be > bare["outside"]
    expect(bare["patches"].map { |x, y| Math.hypot(x, y) }).to all(be_between(5, 7))
    expect(ask(:post, "/bare", plan(form: {"inside" => 20}))["problems"]).to match [include("at" => "form.inside")]
  end

  it "knows a covering that was added in a dozen lines, with no other file touched" do
    Class.new(Lantern::Cover::Covering) do
      covering :swag, title: "Swag", takes: %i[rope], summary: "Rope hung from side to side."
      option :drop, :length, default: 4r, label: "Drop"

      def needs = [Lantern::Cover::Need.run(what: "swag", material: material.id, length: form.run + drop)]

      def lies = [Lantern::Draw::Lie.new(layer: id, what: "swag", kind: :line, materials: [material], width: 0.25, front: [{points: form.path.trace(0.0)}])]
    end
    declared = ask(:get, "/declarations")["coverings"].find { _1["method"] == "swag" }
    expect(declared["options"]).to match [include("name" => "drop", "label" => "Drop", "kind" => "length")]
    worked = ask(:post, "/work", plan(form: foam(14, 10), materials: [rope], layers: [layer("swag", "rope", drop: 6)]))
    expect(worked["layers"][0]["needs"][0]["length"]).to be_within(1e-3).of(12 * PI + 6)
    expect(worked["drawing"]["layers"][0]["front"].size).to eq 1
  ensure
    Lantern::Cover.forget(:swag)
  end
end
