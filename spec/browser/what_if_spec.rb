# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "What if, on the screen", :browser, :store do
  before { load_demo }

  it "sets a lap and a ribbon beside the plan as it is, and keeps the one that is chosen" do
    id = open_wreath("marigold wrap", "cover")
    before = tape("to pay")
    click_on "Hold this"
    fill_in "Lap at the wide edge", with: "1/2"
    saved
    click_on "Hold this"
    select "Rust striped tape", from: "Material"
    expect(page).to have_css("footer button", text: "of Rust striped tape")
    click_on "What if: compare 3"
    expect(page).to have_css("dialog section", count: 3)
    within("dialog section[aria-label='Held 1']") do
      expect(page).to have_css("div", text: /To pay.*#{Regexp.escape(before)}/m)
      expect(page).to have_css("svg[role=img]")
      expect(page).to have_text("material Marigold herringbone tape")
    end
    expect(page).to be_axe_clean
    within("dialog section[aria-label='Held 1']") { click_on "Keep this one" }
    expect(page).to have_css("footer button", text: /#{Regexp.escape(before)}\n?to pay/)
    saved
    layer = RealStore.store.wreaths.find(id)["plan"]["layers"][0]
    expect(layer["material"]).to eq "tape"
    expect(layer["lap"]).not_to eq "1/2"
    # What was on the table is held now.
    expect(page).to have_button("What if: compare 3").or have_button("What if: compare 2")
  end
end
