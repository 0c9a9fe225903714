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
    expect(page).to have_css("nav, footer, ol, ul", text: "Let it dry overnight")
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

  it "adds a material where it is wanted, and comes back with it chosen" do
    id = open_wreath("rope ring", "cover")
    select "Add a material…", from: "Material"
    within("dialog") do
      expect(page).to have_no_field("On hand")
      fill_in "Name", with: "Rust jute"
      fill_in "Length", with: "20 ft"
      fill_in "Price", with: "2.4O"
      click_on "Add it"
      expect(page).to have_css("[role=alert]", text: /Thickness is missing/)
      expect(page).to have_css("[role=alert]", text: /Price must be/)
      fill_in "Thickness", with: "3/8"
      fill_in "Price", with: "2.40"
      expect(page).to be_axe_clean
      click_on "Add it"
    end
    expect(page).to have_no_css("dialog[open]")
    expect(page).to have_select("Material", selected: "Rust jute")
    expect(page).to have_css("footer button", text: "of Rust jute")
    saved
    plan = RealStore.store.wreaths.find(id)["plan"]
    expect(plan["materials"].find { _1["name"] == "Rust jute" }["id"]).to eq plan["layers"][0]["material"]
    expect(RealStore.store.materials.all.map { _1["material"]["name"] }).to include "Rust jute"
  end

  it "covers ribs by their numbers, written in one line" do
    id = open_wreath("star with lit arms", "cover")
    find("label", text: "Strips along the ribs").click
    find("summary", text: "Finer points").click
    fill_in "Which ribs", with: "1, 3"
    expect(page).to have_css("tr", text: "2 strips")
    saved
    ribs = -> { RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["method"] == "ribs" }["which"] }
    expect(ribs.call).to eq [1, 3]
    fill_in "Which ribs", with: "1, 9"
    expect(page).to have_css("[role=alert]", text: /rib 9|ribs/)
  end
end
