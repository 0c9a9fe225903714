# frozen_string_literal: true

require_relative "../support/browser"

# The form with its price, steps of the maker's own, and something in the middle, on the screen.
RSpec.describe "What goes into a wreath, on the screen", :browser, :store do
  before { load_demo }

  it "takes the form from the stash, with its price in the total" do
    id = open_wreath("rope ring", "form")
    before = tape("to pay")
    select "Half-round foam ring, 16 in", from: "The form itself"
    expect(page).to have_text("3.90 a form")
    expect(page).to have_css("footer button", text: format("%.2f", before.delete("$").to_f + 3.90))
    expect(page).to be_axe_clean
    saved
    kept = RealStore.store.wreaths.find(id)["plan"]
    expect(kept["materials"].map { _1["id"] }).to include("foam-half-round")
    select "None of the stash", from: "The form itself"
    expect(page).to have_css("footer button", text: before)
    saved
  end

  it "writes a step of its own in between, and shows it at the bench" do
    id = open_wreath("rope ring", "hang")
    click_on "Add a step"
    expect(page).to have_css("[role=alert]", text: /After is missing/)
    find("div[data-place='steps.0.after']").select("Rope coil")
    find("div[data-place='steps.0.title'] input").set("Let it dry overnight")
    saved
    visit "/wreaths/#{id}/bench"
    expect(page).to have_css("nav, footer, ol, ul", text: "Let it dry overnight", wait: 10)
  end

  it "hangs a sign in the middle of the opening, with the cord it takes" do
    id = open_wreath("rope ring", "trim")
    click_on "Add: something fixed on"
    check "In the middle of the opening"
    select "Tarred hemp cord", from: "On what cord"
    expect(page).to have_css("tr", text: /The cord it hangs by/)
    expect(page).to have_css("[role=slider][aria-valuetext='in the middle']")
    saved
    expect(RealStore.store.wreaths.find(id)["plan"]["layers"].last).to include("at" => "middle", "cord" => "rope")
  end
end
