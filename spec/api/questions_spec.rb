# frozen_string_literal: true

# A question is declared in the contract, and everything about it follows from there.
require_relative "../support/api"

RSpec.describe "Questions", :api, :store do
  let(:questions) { Server::Contract.of(Server::App::CONTRACT).questions }

  # What may be sent to any of them.
  def sent(question)
    document = plan(materials: [rope], layers: [layer("rope_coil", "rope")])
    case question.answers
    when "Units" then {plan: document, to: "cm"}
    when "Backwards" then {plan: document, layer: 0}
    when "Practice" then {plan: document, layer: document["layers"][0]["id"], seconds: 4}
    when "OnDoor" then {plan: document, place: {units: "in", wide: 36}}
    when "Occasion" then {format: "crisp-lantern/occasion", version: 1, units: "in", plans: [document]}
    else document
    end
  end

  it "are all answered by a class of the core, as the contract says, and need no name to be sent twice" do
    expect(questions.map(&:answers)).to include("Comparison", "Advice", "Bare")
    questions.each do |question|
      expect(Lantern::Ask.const_get(question.answers)).to respond_to(:answer)
      answer = ask(:post, question.path.delete_prefix("/api"), sent(question))
      expect([question.path, status, answer["problems"].to_a]).to eq [question.path, 200, []]
    end
  end

  it "are all that stands under their address, beside what reads files" do
    paths = YAML.load_file(Server::App::CONTRACT)["paths"].keys.grep(%r{\A/ask/}).map { "/api#{_1}" }
    files = %w[/api/ask/outlines /api/ask/form.svg /api/ask/photo-sizes]
    expect(paths - files).to match_array questions.map(&:path)
  end

  it "tell of a plan's totals what the worked plan has of them" do
    document = example_plan("door-7-rope-ring")
    worked = ask(:post, "/work", document)
    expect(ask(:post, "/ask/totals", document))
      .to eq("to_buy" => worked["cost"]["to_buy"], "minutes" => worked["minutes"])
  end

  it "know the stash where they have to" do
    ask(:post, "/materials", {units: "in", material: rope(id: "yarn", on_hand: ["90 ft"])})
    compared = ask(:post, "/ask/coverings", plan)["coverings"]
    expect(compared.find { _1["method"] == "rope_coil" }).to include("suits" => true)
  end

  it "are as heavy as what is worked, whatever else stands in it" do
    heavy = plan(layers: Array.new(400) { layer("rope_coil", "rope", id: "layer#{_1}") }).merge("plan" => plan)
    trying = questions.find { _1.answers == "Try" }
    expect(Server::Weight.new(trying.document(heavy)).small?).to be false
    within = questions.find { _1.answers == "Units" }
    expect(Server::Weight.new(within.document({"plan" => heavy, "to" => "cm"})).small?).to be false
  end

  it "are answered where they were before, too" do
    guarded = Server::RequestGuard.new(Server::App.without_sign_in.set(:store, RealStore.store),
      moved: Server::Contract.of(Server::App::CONTRACT).moved)
    old, new = %w[/api/bare /api/ask/bare].map do |path|
      Rack::MockRequest.new(guarded).post(path, :input => JSON.generate(plan), "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost").body
    end
    expect(JSON.parse(old)).to include("front").and eq JSON.parse(new)
    expect(Server::Contract.of(Server::App::CONTRACT).moved.keys).to include("/api/work/try", "/api/occasions/work")
  end
end
