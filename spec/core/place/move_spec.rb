# frozen_string_literal: true

RSpec.describe Lantern::Place::Move do
  it "has a picture, a look and its cautions for every step of every covering and trim" do
    felt = cloth("id" => "felt")
    layers = layer_kinds.each_with_index.map { |covering, i|
      (covering.method_name == :attach) ? layer("attach",
        id: "l#{i}") : any_layer(covering).merge("id" => "l#{i}")
    }
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
