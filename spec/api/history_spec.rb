# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "The history of a wreath", :api, :store do
  def history(id) = ask(:get, "/wreaths/#{id}/history")["versions"]

  def an_hour_later = RealStore.database[:plan_versions].update(at: Sequel.lit("at - INTERVAL 1 HOUR"))

  it "keeps what the plan was before each time it was changed, forty times, and goes with the wreath" do
    wreath = ask(:post, "/wreaths", {plan: plan(quantity: 1)})
    expect(history(wreath["id"])).to eq []
    version = wreath["version"]
    change = ->(quantity) {
      version = ask(:put, "/wreaths/#{wreath["id"]}", {version:, plan: plan(quantity:)})["version"]
    }
    # The same again is no change, and what follows at once belongs to it.
    change.call(1)
    expect(history(wreath["id"])).to eq []
    [2, 3].each(&change)
    expect(history(wreath["id"]).map { _1["plan"]["quantity"] }).to eq [1]
    an_hour_later
    change.call(4)
    expect(history(wreath["id"]).map { _1["plan"]["quantity"] }).to eq [3, 1]
    (5..50).each { |quantity| an_hour_later && change.call(quantity) }
    expect(history(wreath["id"]).map { _1["plan"]["quantity"] }).to eq((10..49).to_a.reverse)
    text = RealStore.archive
    restore(text)
    expect(RealStore.archive.lines[1..-2]).to eq text.lines[1..-2]
    # Of plans that are large, fewer.
    5.times do
      an_hour_later
      version = ask(:put, "/wreaths/#{wreath["id"]}",
        {version:, plan: plan(quantity: version, notes: "x" * 400_000)})["version"]
    end
    expect(history(wreath["id"]).size).to be < 40
    expect(JSON.generate(history(wreath["id"])).bytesize).to be < 1_100_000
    expect(ask(:get, "/wreaths/99/history")["problems"]).not_to be_empty
    expect(status).to eq 404
  end
end
