# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Settings on the screen", :browser, :store do
  before { load_demo }

  it "reckons in another currency everywhere, and prints on other paper" do
    open_wreath("rope ring", "buy")
    expect(page).to have_css("h2", text: "$10.50 to pay")
    click_on "Settings"
    expect(page).to have_css("h1", text: "Settings")
    expect(page).to be_axe_clean
    select "Euro", from: "Currency"
    expect(page).to have_select("Currency", selected: "Euro")
    find("label", text: "A4", exact_text: true).click
    expect(page).to have_checked_field("A4", visible: :all)
    open_wreath("rope ring", "buy")
    expect(page).to have_css("h2", text: "€10.50 to pay")
    expect(page).to have_css("li", text: "That saves €1.75")
    expect(page).to have_css("footer button", text: "€10.50")
    visit "/stash"
    expect(page).to have_text("10 ft for €1.75")
    expect(RealStore.store.settings.all).to include("currency" => "EUR", "paper" => "a4")
  end

  it "begin new wreaths as sure and as fine as was said, in these units, and ask only what is to be asked" do
    visit "/settings"
    find("label", text: "95 %", exact_text: true).click
    select "1/16 in", from: "Smallest mark on your tape"
    within("fieldset", text: "Was it cut?") { find("label", text: "No", exact_text: true).click }
    expect(page).to have_checked_field("No", visible: :all)
    within("fieldset", text: "Units, on this device") { find("label", text: "cm", exact_text: true).click }
    quiet
    plan = RealStore.store.wreaths.find(begin_wreath)["plan"]
    expect(plan).to include("sureness" => 0.95, "smallest_mark" => "1/16 in", "units" => "cm")
    id = RealStore.store.wreaths.all.find { _1["name"].include?("marigold wrap") }["id"]
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Look from a distance").click
    click_on "Finish"
    expect(page).to have_button("Into the notebook")
    expect(page).to have_no_text("Nothing was taken out of the stash for it.")
  end
end
