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
    expect(RealStore.store.settings.all).to eq("currency" => "EUR", "paper" => "a4")
  end
end
