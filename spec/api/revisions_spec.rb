# frozen_string_literal: true

require_relative "../support/api"

# What a screen asks every few seconds: whether anything was changed since.
RSpec.describe "Revisions", :api, :store do
  def revisions = ask(:get, "/revisions")["revisions"]

  # Which topics are others after the block than before it.
  def changed
    before = revisions
    yield
    now = revisions
    now.keys.reject { now[_1] == before[_1] }
  end

  let(:events) { [{event: "an-event-of-its-own", step: "cut", kind: "count", amount: 1}] }

  it "tell by topic what was changed, and of nothing that was not" do
    expect(changed { ask(:get, "/wreaths") }).to eq []
    tape = nil
    expect(changed { tape = ask(:post, "/materials", {units: "in", material: ribbon(on_hand: [400])}) })
      .to eq ["materials"]
    wreath = nil
    made = plan(form: foam(12, 8), materials: [ribbon], layers: [layer("spiral_wrap", "tape")])
    expect(changed { wreath = ask(:post, "/wreaths", {plan: made}) }).to eq ["wreaths"]
    id = wreath["id"]
    expect(changed { ask(:put, "/wreaths/#{id}", {version: 1, plan: made.merge("name" => "Another")}) })
      .to eq ["wreaths"]
    expect(changed { ask(:put, "/wreaths/#{id}/put-away", {put_away: true}) }).to eq ["wreaths"]
    expect(changed { ask(:put, "/wreaths/#{id}/ticks", {place: "a", done: true}) }).to eq ["wreaths"]
    sale = ribbon(offers: [{"length" => "9 ft", "price" => "3.20", "sale_price" => "2.00"}], on_hand: [400])
    expect(changed { ask(:put, "/materials/#{tape["id"]}", {version: 1, units: "in", material: sale}) })
      .to eq ["materials"]
    expect(changed {
      ask(:post, "/materials/#{tape["id"]}/ledger", {kind: "bought", piece: 108, change: 1, units: "in"})
    }).to eq ["materials"]
    walk = nil
    expect(changed { walk = ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}}) }).to eq ["occasions"]
    expect(changed { ask(:put, "/occasions/#{walk["id"]}/wreaths", {wreaths: [id]}) }).to eq ["wreaths"]
    expect(changed { ask(:post, "/forms", {name: "Mine", units: "in", form: plan["form"]}) }).to eq ["forms"]
    expect(changed { ask(:put, "/settings", {currency: "EUR", paper: "a4"}) }).to eq ["settings"]
    sheet = ask(:get, "/occasions/#{walk["id"]}/worked")["cut_sheet"]
    expect(changed { ask(:post, "/occasions/#{walk["id"]}/cut", {cut_sheet: sheet}) })
      .to contain_exactly("wreaths", "materials", "occasions")
    # What is counted at the bench is asked for there.
    expect(changed { ask(:post, "/wreaths/#{id}/bench", {events:}) }).to eq []
    expect(changed { ask(:post, "/wreaths/#{id}/finish", {used: {}}) }).to contain_exactly("wreaths", "makes")
    version = ask(:get, "/wreaths/#{id}")["version"]
    expect(changed { ask(:delete, "/wreaths/#{id}?version=#{version}") }).to eq ["wreaths"]
  end

  it "are each workshop's own" do
    other = RealStore.store.of(RealStore.database[:workshops].insert(name: "Another"))
    before = other.revisions.all
    expect(changed { ask(:post, "/materials", {units: "in", material: ribbon}) }).to eq ["materials"]
    expect(other.revisions.all).to eq before
  end
end
