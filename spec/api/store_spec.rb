# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "What is kept", :api, :store do
  let(:document) { example_plan("door-7-rope-ring") }

  def kept(document = self.document) = ask(:post, "/wreaths", {plan: document})

  it "keeps a wreath and gives it back" do
    wreath = kept
    expect(status).to eq 201
    expect(ask(:get, "/wreaths/#{wreath["id"]}")).to include("name" => "Door 7, rope ring", "version" => 1,
      "plan" => document)
    expect(ask(:get, "/wreaths")["wreaths"].map { _1["id"] }).to eq [wreath["id"]]
  end

  it "asks the database as often for many wreaths as for one" do
    asked = lambda do
      said = []
      log = Logger.new(IO::NULL)
      log.define_singleton_method(:add) { |_, message = nil, text = nil| said << (message || text) }
      RealStore.database.loggers << log
      ask(:get, "/wreaths")
      said.size
    ensure
      RealStore.database.loggers.clear
    end
    kept
    one = asked.call
    expect(one).to be > 0
    5.times { kept }
    expect(asked.call).to eq one
  end

  it "keeps a plan that cannot be worked yet, so that nothing is lost" do
    half = document.merge("form" => {"base" => "wire", "shape" => "ring", "outside" => "fourt"})
    expect(kept(half)["plan"]["form"]["outside"]).to eq "fourt"
  end

  it "keeps hostile names as they are" do
    names = ["'; DROP TABLE wreaths; --", "<img src=x onerror=alert(1)>", "名前 🪢", "a\\b\"c"]
    names.each { |name| expect(kept(document.merge("name" => name))["name"]).to eq name }
    expect(ask(:get, "/wreaths")["wreaths"].size).to eq names.size
  end

  it "never lets one tab overwrite another unseen" do
    wreath = kept
    first = ask(:put, "/wreaths/#{wreath["id"]}", {version: 1, plan: document.merge("name" => "First")})
    expect(first["version"]).to eq 2
    second = ask(:put, "/wreaths/#{wreath["id"]}", {version: 1, plan: document.merge("name" => "Second")})
    expect(status).to eq 409
    expect(second["current"]["name"]).to eq "First"
    expect(second["problems"][0]["says"]).to match(/Nothing of either is lost/)
    ask(:delete, "/wreaths/#{wreath["id"]}?version=1")
    expect(status).to eq 409
    ask(:put, "/wreaths/#{wreath["id"]}", {version: 2, plan: document.merge("name" => "Second")})
    expect(status).to eq 200
  end

  it "lets exactly one of many saves at once win" do
    wreath = kept
    answers = Array.new(8) { |i|
      Thread.new do
        RealStore.store.wreaths.change(wreath["id"], 1, document.merge("name" => "Tab #{i}"))["name"]
      rescue Server::Store::Outdated
        nil
      end
    }.map(&:value).compact
    expect(answers.size).to eq 1
    expect(ask(:get, "/wreaths/#{wreath["id"]}")).to include("name" => answers[0], "version" => 2)
  end

  it "deletes, and says that it is gone" do
    wreath = kept
    ask(:delete, "/wreaths/#{wreath["id"]}?version=1")
    expect(status).to eq 200
    expect(ask(:get, "/wreaths/#{wreath["id"]}")["problems"][0]["says"]).to match(/may have been deleted/)
    expect(status).to eq 404
  end

  it "answers requests that are not as they should be" do
    [[:get, "/wreaths/abc"], [:get, "/wreaths/0"], [:put, "/wreaths/1", {plan: {}}], [:post, "/wreaths", {plan: 3}],
      [:post, "/wreaths", {}], [:delete, "/wreaths/1"]].each do |verb, path, body|
      expect(ask(verb, path, body)["problems"]).not_to be_empty
      expect(status).to eq 400
    end
    expect(ask(:get, "/nothing")["problems"][0]["says"]).to eq "There is nothing at this address."
  end

  describe "the stash" do
    it "keeps a material, and every wreath made of it sees what changed" do
      wreath = kept
      stashed = ask(:post, "/materials", {units: "in", material: document["materials"][0]})
      expect(status).to eq 201
      ask(:put, "/materials/#{stashed["id"]}",
        {version: 1, units: "in", material: stashed["material"].merge("on_hand" => [800])})
      fresh = ask(:get, "/wreaths/#{wreath["id"]}")["plan"]
      expect(fresh["materials"][0]["on_hand"]).to eq [800]
      expect(ask(:post, "/work", fresh)["cost"]["to_buy"]).to eq "0.00"
    end

    it "converts to the units that are asked for" do
      ask(:post, "/materials", {units: "in", material: rope(diameter: 0.5)})
      expect(ask(:get, "/materials?units=cm")["materials"][0]["material"]["diameter"]).to eq 1.27
      wreath = kept(plan(units: "cm", form: {"outside" => 30, "inside" => 20}, materials: [rope(diameter: 99)]))
      expect(ask(:get, "/wreaths/#{wreath["id"]}")["plan"]["materials"][0]["diameter"]).to eq 1.27
    end

    it "refuses a bad material with every problem and its place, and keeps the old one" do
      stashed = ask(:post, "/materials", {units: "in", material: rope})
      refused = ask(:put, "/materials/#{stashed["id"]}",
        {version: 1, units: "in", material: {"id" => "rope", "kind" => "rope", "diameter" => "thick",
                                             "offers" => [{"length" => 0, "price" => 2}]}})
      expect(status).to eq 422
      expect(refused["problems"].map { _1["at"] }).to include("name", "diameter", "offers.0.length", "offers.0.price")
      expect(ask(:get, "/materials/#{stashed["id"]}")).to include("version" => 1, "material" => rope)
    end

    it "tells the second of two who change or add one material" do
      stashed = ask(:post, "/materials", {units: "in", material: rope})
      ask(:put, "/materials/#{stashed["id"]}", {version: 1, units: "in", material: rope(name: "Other")})
      ask(:put, "/materials/#{stashed["id"]}", {version: 1, units: "in", material: rope(name: "Late")})
      expect(status).to eq 409
      expect(ask(:post, "/materials", {units: "in", material: rope})["problems"][0]["says"])
        .to match(/has this name already/)
      expect(status).to eq 422
    end
  end

  it "loads the demo once: what is deleted stays deleted" do
    Server::Demo.load(RealStore.store)
    wreaths = ask(:get, "/wreaths")["wreaths"]
    expect(wreaths.size).to be >= 6
    expect(wreaths.flat_map { _1["plan"]["layers"].map { |layer| layer["method"] } }.uniq)
      .to match_array layer_kinds.map { _1.method_name.to_s }
    ask(:delete, "/wreaths/#{wreaths[0]["id"]}?version=1")
    Server::Demo.load(RealStore.store)
    expect(ask(:get, "/wreaths")["wreaths"].size).to eq wreaths.size - 1
  end

  it "holds the rules in the database too" do
    database = RealStore.database
    # Which kinds there are the core says, and nothing is kept that it does not read.
    expect { RealStore.store.materials.add({"id" => "x", "kind" => "chain", "name" => "x"}, "in") }
      .to raise_error(Lantern::Plan::Refused)
    expect { database[:materials].insert(slug: "x", kind: "rope", name: "", units: "in", document: "{}") }
      .to raise_error(Sequel::DatabaseError)
    expect { database[:wreaths].insert(name: "x", plan: "not json") }.to raise_error(Sequel::DatabaseError)
  end

  it "loses nothing when the database is killed, and says so while it is away", :killing do
    wreath = kept
    RealStore.server.kill
    expect(ask(:get, "/wreaths/#{wreath["id"]}")["problems"][0]["says"]).to match(/database does not answer/)
    expect(status).to eq 503
    RealStore.server.start
    expect(ask(:get, "/wreaths/#{wreath["id"]}")["name"]).to eq wreath["name"]
  ensure
    RealStore.server.start
  end
end

RSpec.describe "A plan with a material of its own", :api, :store do
  it "keeps it beside another thing of the stash with the same id, and says so" do
    ask(:post, "/materials", {units: "in", material: rope})
    silk = rope(name: "Silk cord", diameter: 0.125, offers: [{"length" => 60, "price" => "8.00"}])
    kept = ask(:post, "/wreaths", {plan: plan(materials: [silk], layers: [layer("rope_coil", "rope")])})
    expect(kept["kept_apart"]).to eq [{"id" => "rope-2", "name" => "Silk cord"}]
    expect(kept["plan"]["materials"]).to match [include("id" => "rope-2", "name" => "Silk cord", "diameter" => 0.125)]
    again = ask(:get, "/wreaths/#{kept["id"]}")
    expect([again["plan"], again.key?("kept_apart")]).to eq [kept["plan"], false]
    # What is the stash's is the stash's, also when the stash has changed since the screen was loaded.
    same = ask(:post, "/wreaths", {plan: plan(materials: [rope], layers: [layer("rope_coil", "rope")])})
    renamed = rope(name: "Hemp cord, waxed")
    row = ask(:get, "/materials")["materials"][0]
    ask(:put, "/materials/#{row["id"]}", {version: row["version"], units: "in", material: renamed})
    saved = ask(:put, "/wreaths/#{same["id"]}", {version: 1, plan: same["plan"].merge("name" => "Mine")})
    expect(saved.key?("kept_apart")).to be false
    expect(saved["plan"]["materials"][0]["name"]).to eq "Hemp cord, waxed"
  end
end
