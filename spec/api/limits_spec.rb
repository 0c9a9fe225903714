# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "What is refused", :api, :store do
  def add(material) = ask(:post, "/materials", {units: "in", material:})

  def on_hand(id) = ask(:get, "/materials/#{id}")["material"]["on_hand"]

  # Everything still opens: the stash, its file, and the coverings.
  def opens
    expect(ask(:get, "/materials")["materials"]).to all satisfy { !_1.key?("problem") }
    get "/api/stash.csv"
    expect(last_response.status).to eq 200
    ask(:post, "/ask/coverings", plan)
    expect(status).to eq 200
  end

  it "is not written: more lengths than can be shown again" do
    id = add(rope)["id"]
    says = ask(:post, "/materials/#{id}/ledger", {kind: "bought", piece: "10 ft", change: 501, units: "in"})
    expect(status).to eq 422
    expect(says["problems"][0]).to include("at" => "on_hand", "says" => /Hemp cord cannot be kept.*Nothing was changed/)
    expect(on_hand(id)).to eq []
    opens
  end

  it "is not written: more counted things than can be shown again" do
    id = add(stash[5])["id"]
    statuses = Array.new(2) {
      ask(:post, "/materials/#{id}/ledger", {kind: "bought", piece: 60_000, change: 1, units: "in"})
      status
    }
    expect(statuses.last).to eq 422
    expect(on_hand(id).sum).to be <= 100_000
    opens
  end

  it "is not written: a join that leaves next to nothing" do
    id = add(rope(on_hand: [10]))["id"]
    ask(:post, "/materials/#{id}/splice", {piece: 10, at: 9.9995, units: "in"})
    expect(status).to eq 422
    expect(on_hand(id)).to eq [10]
    opens
  end

  it "is not written: a cut that leaves more left-overs than can be shown again" do
    id = add(ribbon(width: 1, offers: [{"length" => 40, "price" => "1.00"}]))["id"]
    strips = layer("knotted_strips", "tape", "tail" => 10)
    wreath = ask(:post, "/wreaths",
      {plan: plan(:materials => [ribbon(width: 1)], :layers => [strips], "quantity" => 30)})
    worked = ask(:post, "/work", ask(:get, "/wreaths/#{wreath["id"]}")["plan"])
    expect(worked["materials"][0]["left"].size).to be > 500
    problem = ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: 1, cut_sheet: worked["cut_sheet"]})["problems"][0]
    expect([status, problem["at"]]).to eq [422, "on_hand"]
    expect(on_hand(id)).to eq []
    opens
  end
end

RSpec.describe "What is kept", :api, :store do
  it "can be shown, and what could not is refused: units that there are not, lists that are none" do
    ask(:post, "/materials", {units: "in", material: rope})
    {{"units" => "x"} => "units", {"units" => nil} => "units", {"form" => 7} => "form", {"version" => 2} => "version",
     {"materials" => {"rope" => rope}} => "materials", {"layers" => [7]} => "layers.0"}.each do |wrong, at|
      problems = ask(:post, "/wreaths", {plan: plan(materials: [rope]).merge(wrong)})["problems"]
      expect([status, problems.map { _1["at"] }]).to eq [422, [at]]
    end
    wreath = ask(:post, "/wreaths", {plan: plan(name: "Another")})
    ask(:put, "/wreaths/#{wreath["id"]}", {version: 1, plan: plan.merge("units" => "x")})
    expect(status).to eq 422
    expect(ask(:get, "/wreaths")["wreaths"].map { _1["name"] }).to eq ["Another"]
  end

  it "is one row that says why, when it cannot be shown", :aggregate_failures do
    ask(:post, "/materials", {units: "in", material: rope})
    ask(:post, "/materials", {units: "in", material: ribbon})
    RealStore.database[:materials].where(slug: "tape").update(document: "{\"id\":\"tape\",\"kind\":\"ribbon\"}")
    found = ask(:get, "/materials")["materials"].to_h { [_1["material"]["id"], _1["problem"]] }
    expect(found).to match("rope" => nil, "tape" => a_string_including("ame"))
    2.times { ask(:post, "/wreaths", {plan:}) }
    RealStore.database[:wreaths].where(id: RealStore.database[:wreaths].max(:id)).update(plan: "[7]")
    rows = ask(:get, "/wreaths")["wreaths"]
    expect(rows.map { _1.key?("problem") }).to eq [false, true]
    expect(status).to eq 200
  end
end

RSpec.describe "What is deleted", :api, :store do
  it "is in a bin for thirty days, and comes back as it was" do
    wreath = ask(:post, "/wreaths", {plan: plan(name: "Gone")})
    walk = ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}})
    ask(:put, "/occasions/#{walk["id"]}/wreaths", {wreaths: [wreath["id"]]})
    material = ask(:post, "/materials", {units: "in", material: rope(on_hand: [44])})
    ask(:delete, "/occasions/#{walk["id"]}?version=1")
    ask(:delete, "/wreaths/#{wreath["id"]}?version=1")
    ask(:delete, "/materials/#{material["id"]}?version=1")
    bin = ask(:get, "/bin")
    expect(bin.transform_values { |rows| rows.map { _1.slice("name", "days_left") } }).to eq(
      "wreaths" => [{"name" => "Gone", "days_left" => 30}], "occasions" => [{"name" => "Walk", "days_left" => 30}],
      "materials" => [{"name" => "Hemp cord", "days_left" => 30}]
    )
    expect(ask(:get, "/wreaths/#{wreath["id"]}") && status).to eq 404
    ask(:post, "/bin/wreaths/#{wreath["id"]}", {})
    expect(ask(:post, "/bin/occasions/#{walk["id"]}", {})["wreaths"]).to eq [wreath["id"]]
    expect(ask(:post, "/bin/materials/#{material["id"]}", {})["material"]).to include("id" => "rope", "on_hand" => [44])
    expect(ask(:get, "/bin").values).to all be_empty
  end

  it "gives its name free, and does not come back under one that is taken" do
    first = ask(:post, "/materials", {units: "in", material: rope})["id"]
    ask(:delete, "/materials/#{first}?version=1")
    ask(:post, "/materials", {units: "in", material: rope})
    expect(status).to eq 201
    ask(:post, "/bin/materials/#{first}", {})
    expect(status).to eq 422
  end

  it "is gone for good after that" do
    wreath = ask(:post, "/wreaths", {plan:})
    ask(:delete, "/wreaths/#{wreath["id"]}?version=1")
    [29, 31].each do |days|
      RealStore.database[:wreaths].update(deleted_at: Time.now.utc - days * 86_400)
      RealStore.store.tidy
    end
    expect(RealStore.database[:wreaths].count).to eq 0
  end
end
