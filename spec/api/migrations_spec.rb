# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "Migrations", :store do
  it "make entries of a ledger from what materials had on hand in their documents" do
    database = RealStore.before(2)
    {ribbon(on_hand: [44, "80 cm"]) => "ribbon", cloth("on_hand" => [{"width" => 18, "length" => 21}]) => "fabric",
     stash[6].merge("on_hand" => [14]) => "tie", rope => "rope"}.each do |material, kind|
      database[:materials].insert(slug: material["id"], kind:, name: material["name"], units: "in",
        document: JSON.generate(material))
    end
    store = Server::Store.new(database)
    hand = store.materials.all.to_h { |each| [each["material"]["id"], each["material"]["on_hand"]] }
    expect(hand).to eq("tape" => [44, 31.4961], "cloth" => [{"width" => 18, "length" => 21}], "ties" => [14],
      "rope" => [])
  ensure
    database&.disconnect
  end
end
