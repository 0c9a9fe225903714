# frozen_string_literal: true

require_relative "../support/api"

# The list of wreaths: worked once, kept, and never stale.
RSpec.describe "The list of wreaths", :api, :store do
  before { RealStore.forget_answers }

  def list = ask(:get, "/wreaths/list")["wreaths"]

  def summary(id) = ask(:get, "/wreaths/#{id}/summary")

  def kept = RealStore.database[:kept_answers].count

  it "says of each what it is, once it was asked, and works it no second time" do
    id = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})["id"]
    expect(list[0]).not_to have_key("summary")
    said = summary(id)
    worked = ask(:post, "/work", example_plan("door-7-rope-ring"))
    expect(said).to include("says" => "Rope coil on a wire ring, 14 in", "to_buy" => worked["cost"]["to_buy"],
      "short" => false, "minutes" => worked["minutes"])
    expect(list[0]["summary"]).to eq said
    expect { summary(id) && list }.not_to change { kept }
  end

  it "is another one as soon as a price, the stash or the plan changes" do
    tape = ask(:post, "/materials", {units: "in", material: ribbon})
    wreath = ask(:post, "/wreaths", {plan: plan(materials: [ribbon], layers: [layer("spiral_wrap", "tape")])})
    first = summary(wreath["id"])
    dearer = ribbon.merge("offers" => [{"length" => "9 ft", "price" => "4.20"}])
    tape = ask(:put, "/materials/#{tape["id"]}", {version: tape["version"], units: "in", material: dearer})
    expect(list[0]).not_to have_key("summary")
    second = summary(wreath["id"])
    expect(BigDecimal(second["to_buy"]) / BigDecimal("4.20")).to eq BigDecimal(first["to_buy"]) / BigDecimal("3.20")
    ask(:put, "/materials/#{tape["id"]}",
      {version: tape["version"], units: "in", material: dearer.merge("on_hand" => [900])})
    expect(summary(wreath["id"])["to_buy"]).to eq "0.00"
    other = wreath["plan"].merge("form" => wreath["plan"]["form"].merge("outside" => 7))
    ask(:put, "/wreaths/#{wreath["id"]}", {version: wreath["version"], plan: other})
    expect(summary(wreath["id"])).to match("problem" => /must be smaller/)
  end

  it "sends a picture once to whoever has it, and another when it changed" do
    wreath = ask(:post, "/wreaths", {plan: plan(materials: [rope], layers: [layer("rope_coil", "rope")])})
    header "Host", "localhost"
    get "/api/wreaths/#{wreath["id"]}/picture.svg"
    etag = last_response["etag"]
    header "If-None-Match", etag
    get "/api/wreaths/#{wreath["id"]}/picture.svg"
    expect(last_response.status).to eq 304
    header "If-None-Match", nil
    changed = wreath["plan"].merge("form" => wreath["plan"]["form"].merge("outside" => 16))
    ask(:put, "/wreaths/#{wreath["id"]}", {version: wreath["version"], plan: changed})
    header "If-None-Match", etag
    get "/api/wreaths/#{wreath["id"]}/picture.svg"
    expect(last_response.status).to eq 200
    header "If-None-Match", nil
  end

  it "holds a thousand, without their plans" do
    row = {plan: JSON.generate(plan(materials: [rope], layers: [layer("rope_coil", "rope")]))}
    RealStore.own[:wreaths].multi_insert(Array.new(1000) { |i| row.merge(name: "Wreath #{i}") })
    expect(list.size).to eq 1000
    # All are the same plan under other names: one answer does for those that are named alike.
    expect(last_response.body.bytesize).to be < 400_000
    expect(last_response.body).not_to include "crisp-lantern/plan"
  end
end
