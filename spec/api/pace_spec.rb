# frozen_string_literal: true

require_relative "../support/api"

# Times are learned from the notebook as lengths are.
RSpec.describe "Times", :api, :store do
  def coiled(**more) = plan(materials: [rope], layers: [layer("rope_coil", "rope", school: "even")], **more)

  def made(minutes)
    wreath = ask(:post, "/wreaths", {plan: coiled})
    ask(:post, "/wreaths/#{wreath["id"]}/bench",
      {events: [{event: "time-#{minutes}-#{wreath["id"]}", step: "one.coil", kind: "time", amount: minutes * 60}]})
    ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {}})
  end

  # The conjugate update of Gelman et al.: the sum itself is worth three makes.
  it "are learned from what makes took, and taken up by a plan" do
    planned = Lantern.work(coiled)
    coil = planned["steps"].find { _1["id"] == "one.coil" }["minutes"]
    3.times { made((coil * 2).round) }
    pace = ask(:get, "/notebook")["paces"].find { _1["method"] == "rope_coil" }
    expect(pace["factor"]).to be_within(0.05).of((3 * 1 + 3 * 2) / 6.0)
    expect(pace).to include("makes" => 3, "percent" => be_within(5).of(50))
    paces = [pace.slice("method", "factor", "makes")]
    with = Lantern.work(coiled(paces:))
    taken = with["steps"].find { _1["id"] == "one.coil" }["minutes"]
    expect(taken).to be_within(0.1).of(coil * pace["factor"])
    # What a plan expects that has taken it up is still the sum: nothing is learned twice.
    expect(Lantern::Ask::Finish.new(coiled(paces:)).steps("one.coil" => 600)[0]["expected"]).to be_within(0.1).of(coil)
  end
end
