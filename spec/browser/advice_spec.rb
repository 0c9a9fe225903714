# frozen_string_literal: true

require_relative "../support/browser"

# What a wise friend says, on the screen: in one click, and back.
RSpec.describe "Advice on the screen", :browser, :store do
  before { load_demo }

  def advice(text) = find("li", text:, match: :first)

  it "buys one package fewer in one click, and takes it back" do
    id = open_wreath("rope ring", "buy")
    expect(tape("packages to buy")).to eq "6"
    within(advice("5 packages instead of 6")) do
      expect(page).to have_text("Fillers: 13 → 0")
      find("button", text: "Set gap you accept outside to").click
    end
    expect(page).to have_css("footer button", text: /\A5\n?packages to buy/)
    expect(page).to be_axe_clean
    saved
    expect(RealStore.store.wreaths.find(id)["plan"]["layers"][0]["accepted_gap"]).to eq "1/4 in"
    click_on "Take it back"
    expect(page).to have_css("footer button", text: /\A6\n?packages to buy/)
    saved
    expect(RealStore.store.wreaths.find(id)["plan"]["layers"][0]).not_to have_key("accepted_gap")
  end

  it "says it where the cord is coiled too, with three open at most and the rest folded" do
    open_wreath("rope ring", "cover")
    expect(page).to have_css("li", text: "5 packages instead of 6")
    open_wreath("undyed rope", "buy")
    expect(page).to have_css("ul[aria-label=Findings]", minimum: 1)
    expect(all("section[aria-label=Buy] > ul[aria-label=Findings] > li").size).to be <= 3
  end

  it "takes from the stash what is there already, the material with it" do
    RealStore.store.materials.add({"id" => "spare", "kind" => "rope", "name" => "Spare cord", "diameter" => 0.3,
      "on_hand" => [1200]}, "in")
    id = open_wreath("rope ring", "buy")
    within(advice("You have enough Spare cord")) { click_on "Take it from the stash" }
    expect(page).to have_css("h2", text: "Nothing to buy")
    saved
    plan = RealStore.store.wreaths.find(id)["plan"]
    expect(plan["layers"][0]["material"]).to eq "spare"
    expect(plan["materials"].map { _1["id"] }).to include("spare")
  end

  it "says it for all wreaths of a day, and leads to the wreath that would give" do
    visit "/occasions"
    click_on "Lantern walk"
    expect(page).to have_css("dl dt", text: "at the bench")
    find("label", text: "Buy", exact_text: true).click
    within(find("ul[aria-label=Advice] li", text: /instead of .* on Door/, match: :first)) do
      find("a", match: :first).click
    end
    expect(page).to have_css("footer li")
    expect(page).to have_css("nav a[aria-current]", text: /Cover/).or have_css("h2")
  end
end
