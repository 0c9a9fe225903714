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

  it "goes in four to six frames, each with a sentence, and nothing of them beyond their picture but what is cut off" do
    described_class::ALL.each do |move|
      expect(move.frames.size).to be_between(4, 6), move.key.to_s
      expect(move.frames.map(&:says).uniq.size).to eq move.frames.size
      move.frames.each do |frame|
        expect(frame.says).to match(/\A[A-Z{].*[.?]\z/), "#{move.key}: #{frame.says}"
        places = frame.marks.flat_map { _1.path.scan(/-?[\d.]+/).each_slice(2).to_a }.map { |pair| pair.map(&:to_f) }
        seen = places.count { |x, y| x.between?(0, frame.class::WIDE) && y.between?(0, frame.class::HIGH) }
        expect(seen).to be > places.size / 2, "#{move.key}: #{frame.says}"
        expect(frame.labels).to all(have_attributes(x: be_between(8, 150), y: be_between(8, 118)))
      end
    end
  end

  it "shows measures that some step has, and says words where a step has none" do
    examples = Dir[File.expand_path("../../../docs/examples/*.json", __dir__)]
      .flat_map { Lantern.work(JSON.parse(File.read(_1)))["steps"] }
    any = layer_kinds.flat_map { work(form: gourd, materials: stash, layers: [any_layer(_1)])["steps"] }
    made = Lantern::Trim::Pieces::MAKINGS.flat_map { |making|
      work(materials: stash, layers: [layer("piece", "tape", making: making.word.to_s)])["steps"]
    }
    tubes = work(materials: stash, layers: [layer("piece", "tape", making: "bundle",
      parts: [{"as" => "tube"}], tie: {"material" => "tape", "length" => "9 in"})])
    looped = layer("bow", "tape", tail: 7, loop_size: "4 1/2 in", centre_loop: 2)
    bow = work(materials: stash, layers: [looped])["steps"].find { _1["move"] == "pinch_and_twist" }
    shown = ([bow] + examples + any + made + tubes["steps"]).flat_map { _1.fetch("shows", {}).keys }.uniq
    expect(described_class::ALL.flat_map(&:measures).uniq - shown).to eq []
    tubed = tubes["steps"].find { _1["moves"] }
    expect(tubed["moves"].first(2)).to eq %w[tube bundle]
    expect(tubed["shows"]).to include("across" => "1 in", "tie" => start_with("9 in of "))
    said = described_class.fetch(:pinch_and_twist).frames.map { described_class::Frame.filled(_1.says, bow["shows"]) }
    expect(said.values_at(0, 2)).to eq ["Measure 7 in, good side up. Pinch there.",
      "A loop of 4 1/2 in to the right. Pinch, half a twist."]
    expect(described_class::Frame.filled("Measure {tail|the tail}.", {})).to eq "Measure the tail."
  end

  it "says how a count goes in rounds" do
    inlay = Lantern.work(example_plan("door-1-ribbon-laid-in"))
    step = inlay["steps"].find { _1["pattern"] }
    figures = inlay["layers"][0]["figures"]
    expect(step["pattern"].sum { _1["count"] } * figures["repeats"]).to eq step["count"]
  end
end
