# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Cutting on the screen", :browser, :store do
  before { load_demo }

  it "keeps the ticks, takes the material out of the stash, and puts it back" do
    open_wreath("rust stripes", "cut")
    find("input[aria-label^='Cut: ']", match: :first).click
    expect(page).to have_text("1 of 1 ticked")
    quiet
    page.refresh
    expect(page).to have_text("1 of 1 ticked")
    click_on "I cut it"
    expect(page).to have_text("Cut: its material is out of the stash")
    expect(page).to be_axe_clean
    visit "/stash"
    click_on "Where it went: Rust striped tape"
    within("dialog[open]") do
      expect(page).to have_css("tr", text: /left over for Door 18/)
      expect(page).to have_css("tr", text: /cut for Door 18.*−1/)
      expect(page).to be_axe_clean
      fill_in "Length", with: "12 yd"
      click_on "Write it down"
      expect(page).to have_css("tr:first-child", text: /bought.*\+1 × 36 ft/)
      click_on "Take back", match: :first
      expect(page).to have_css("tr:first-child", text: /taken back/)
      click_on "Door 18, rust stripes", match: :first
    end
    click_on "Take it back"
    expect(page).to have_css("button", text: "I cut it")
    expect(RealStore.store.materials.all.find { _1["material"]["id"] == "rust" }["material"]["on_hand"]).to eq [480]
  end

  it "says so when the stash has changed meanwhile, and takes nothing" do
    open_wreath("rust stripes", "cut")
    expect(page).to have_css("button", text: "I cut it")
    rust = RealStore.store.materials.all.find { _1["material"]["id"] == "rust" }
    RealStore.store.materials.move(rust["id"], "thrown_away", 480, -1, "in")
    click_on "I cut it"
    expect(page).to have_css("[role=alert]", text: "The stash has changed")
  end
end
