# frozen_string_literal: true

require_relative "../support/api"

# Nothing is lost and nothing is made: what is counted is followed from the plan over the cutting to the finish, for one
# wreath and for several on one day.
RSpec.describe "What is counted", :api, :store do
  let(:counted_kinds) do
    {"ties" => %w[tie cable], "stems" => %w[tie chenille], "picks" => ["piece"], "rings" => ["form"],
     "sticks" => ["glue"]}
  end

  def counted(id, (kind, sort), random)
    {"id" => id, "kind" => kind, "name" => id.capitalize, "sort" => sort,
     "offers" => [{"count" => random.rand(1..20), "price" => format("%.2f", random.rand(0.2..4.0))}],
     "on_hand" => [random.rand(0..9)]}.compact
  end

  def random_layers(random)
    fixing = ->(id) {
      layer("attach", "picks", id:, what: %w[pick swag bloom sign].sample(random:), count: random.rand(1..5),
        fixing: %w[glue chenille ties].sample(random:), at: random.rand(0..11))
    }
    [layer("rope_coil", "rope", id: "base"), *Array.new(random.rand(0..3)) { fixing.call("thing-#{_1}") },
      (layer("bow", "tape", id: "bow", at: 6.5) if random.rand < 0.5),
      (layer("hanger", "stems", id: "hang") if random.rand < 0.5)].compact
  end

  def random_plan(random, materials, name: "A wreath")
    plan(name:, form: {"material" => "rings"}, materials:, layers: random_layers(random), quantity: random.rand(1..3))
  end

  def keep(random)
    [rope, ribbon, *counted_kinds.map { |id, kind| counted(id, kind, random) }].each do |material|
      ask(:post, "/materials", {units: "in", material:})
    end
    ask(:get, "/materials")["materials"].map { _1["material"] }
  end

  def on_hand
    kept = ask(:get, "/materials")["materials"].map { _1["material"] }
    kept.to_h { [_1["id"], _1["on_hand"]] }.slice(*counted_kinds.keys).transform_values(&:sum)
  end

  # What a worked answer takes from the stash and brings into it.
  def change(worked, stash)
    worked["materials"].select { counted_kinds.key?(_1["id"]) }.to_h do |each|
      offers = stash.find { _1["id"] == each["id"] }["offers"]
      [each["id"], each["buy"].sum { |buy| offers[buy["offer"]]["count"] * buy["count"] } - each["needed"]]
    end
  end

  it "is in the stash after the cutting what was there, and was bought, and was not used" do
    each_random(12, seed: 41) do |random|
      RealStore.empty
      stash = keep(random)
      before = on_hand
      wreath = ask(:post, "/wreaths", {plan: random_plan(random, stash)})
      worked = ask(:post, "/work", wreath["plan"])
      cut = ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: wreath["version"], cut_sheet: worked["cut_sheet"]})
      expect(status).to eq 200
      expect(on_hand).to eq(before.merge(change(worked, stash)) { |_, had, more| had + more })
      check_finish(wreath, worked) if wreath["plan"]["quantity"] == 1
      undone = ask(:get, "/wreaths/#{wreath["id"]}")
      next unless wreath["plan"]["quantity"] > 1
      ask(:post, "/wreaths/#{wreath["id"]}/uncut", {version: undone["version"]})
      expect(on_hand).to eq before
      expect(cut["cut"]).to be true
    end
  end

  # What was used beyond the sheet is gone, what was not comes back.
  def check_finish(wreath, worked)
    after = on_hand
    picks = worked["materials"].find { _1["id"] == "picks" }["needed"]
    return if picks.zero?
    ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {picks: picks - 1}})
    expect(status).to eq(201).or eq(200)
    expect(on_hand).to eq after.merge("picks" => after["picks"] + 1)
  end

  it "is the same for several wreaths on one day, cut as one and taken back as one" do
    each_random(6, seed: 43) do |random|
      RealStore.empty
      stash = keep(random)
      before = on_hand
      ids = %w[One Two Three].map { |name| ask(:post, "/wreaths", {plan: random_plan(random, stash, name:)})["id"] }
      occasion = ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}})["id"]
      ask(:put, "/occasions/#{occasion}/wreaths", {wreaths: ids})
      worked = ask(:get, "/occasions/#{occasion}/worked")
      needed = ids.map { |id| ask(:post, "/work", ask(:get, "/wreaths/#{id}")["plan"]) }
      # Parts of a stem are rounded up once for all of them.
      worked["materials"].select { counted_kinds.key?(_1["id"]) }.each do |each|
        alone = needed.sum { |one| one["materials"].find { _1["id"] == each["id"] }["needed"] }
        expect(each["needed"]).to be_between(alone - ids.size + 1, alone)
      end
      ask(:post, "/occasions/#{occasion}/cut", {cut_sheet: worked["cut_sheet"]})
      expect(status).to eq 200
      expect(on_hand).to eq(before.merge(change(worked, stash)) { |_, had, more| had + more })
      ask(:post, "/occasions/#{occasion}/uncut", {})
      expect(on_hand).to eq before
    end
  end

  it "keeps the rest of a cut ring among the maker's forms, paid for, until the cutting is taken back" do
    ring = {"id" => "rings", "kind" => "form", "name" => "Foam ring", "offers" => [{"count" => 1, "price" => "3.90"}],
            "on_hand" => [0]}
    [rope, ring].each { ask(:post, "/materials", {units: "in", material: _1}) }
    form = {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 220, "material" => "rings"}
    wreath = ask(:post, "/wreaths",
      {plan: plan(form:, materials: [rope, ring], layers: [layer("rope_coil", "rope")], quantity: 2)})
    worked = ask(:post, "/work", wreath["plan"])
    expect(worked["form"]["cost"]).to eq "3.90"
    cut = ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: wreath["version"], cut_sheet: worked["cut_sheet"]})
    rests = ask(:get, "/forms")["forms"]
    expect(rests.map { _1["name"] }).to eq ["Rest of Foam ring", "Rest of Foam ring, 2"]
    expect(rests[0]["form"]).to include("shape" => "arc", "degrees" => 140, "width" => 14)
    next_one = plan(form: rests[0]["form"], materials: [rope], layers: [layer("rope_coil", "rope")])
    expect(ask(:post, "/work", next_one)["form"]["cost"]).to be_nil
    ask(:post, "/wreaths/#{wreath["id"]}/uncut", {version: cut["version"]})
    expect(ask(:get, "/forms")["forms"]).to eq []
  end

  it "refuses to save what is no length, and asks for what was left out of the two" do
    ties = {"id" => "ties", "kind" => "tie", "name" => "Ties", "on_hand" => [3]}
    said = ->(before) {
      problems(plan(form: {"before" => {"state" => "strip", **before}}, materials: [rope, ties],
        layers: [layer("rope_coil", "rope")]))
    }
    expect(said.call("saves" => "ties", "saved" => 60)).to match("form.before.saves" => /Ties is tie: only lengths/)
    expect(said.call("saves" => "rope")).to match("form.before.saved" => /how much of it/)
    expect(said.call("saved" => 60)).to match("form.before.saves" => /what of it/)
    expect(said.call("saves" => "rope", "saved" => 60)).to eq({})
  end

  it "brings into the stash what was saved of a covering that was stripped off" do
    ask(:post, "/materials", {units: "in", material: rope})
    before = {"state" => "strip", "saves" => "rope", "saved" => "60 in"}
    wreath = ask(:post, "/wreaths", {plan: plan(form: {"before" => before}, materials: [rope],
      layers: [layer("rope_coil", "rope")])})
    worked = ask(:post, "/work", wreath["plan"])
    expect(worked["steps"][0]["says"]).to include "Strip the old covering off"
    ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: wreath["version"], cut_sheet: worked["cut_sheet"]})
    hand = ask(:get, "/materials")["materials"][0]["material"]["on_hand"]
    expect(hand.count(60)).to eq 1
  end
end
