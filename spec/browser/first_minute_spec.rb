# frozen_string_literal: true

require_relative "../support/browser"

# From opening the application to a cut sheet, and how many actions that takes.
RSpec.describe "The first minute", :browser, :store do
  before { load_demo }

  # What a maker does: every click, every field, every choice is one.
  def act
    @actions = (@actions || 0) + 1
    yield
  end

  it "goes from nothing to a cut sheet of a ring in a new material in fifteen actions" do
    visit "/"
    act { click_on "New wreath" }
    expect(page).to be_axe_clean
    act { find("button", text: "Ring", exact_text: true).click }
    act { fill_in "Outside, across", with: "16" }
    act { fill_in "Opening, across", with: "10" }
    expect(page).to be_axe_clean
    act { click_on "Next: what have you got?" }
    act { click_on "Add a material…" }
    within("dialog") do
      act { find("label", text: "Rope or cord").click }
      act { fill_in "Name", with: "Waxed cord" }
      act { fill_in "Thickness", with: "1/4" }
      act { fill_in "Length of a package", with: "50 ft" }
      act { fill_in "Price", with: "6.20" }
      act { click_on "Add it" }
    end
    expect(page).to have_no_css("dialog")
    expect(page).to be_axe_clean
    act { click_on "Take this: Rope coil" }
    act { select "Waxed cord", from: "Material" }
    expect(page).to have_css("footer button", text: "of Waxed cord")
    act { find("nav[aria-label=Stages] a", text: /\ACut/).click }
    expect(page).to have_css("h3", text: "Waxed cord")
    expect(page).to have_css("footer button", text: /packages? to buy/)
    expect(@actions).to be <= 15
  end

  it "leaves nothing behind when it is left" do
    before = RealStore.store.wreaths.all.size
    visit "/"
    click_on "New wreath"
    find("button", text: "Wire heart, 14 in").click
    expect(page).to have_css("section[aria-label=Drawing]")
    click_on "Next: what have you got?"
    expect(page).to have_button("Take this: Rope coil")
    visit "/"
    expect(page).to have_css("h2 a", text: "Door 7, rope ring")
    expect(RealStore.store.wreaths.all.size).to eq before
  end

  it "refuses sizes that cannot be beside the field, and does not go on" do
    visit "/new"
    find("button", text: "Ring", exact_text: true).click
    fill_in "Opening, across", with: "20"
    expect(page).to have_css("[role=alert]", text: /must be smaller than the form/)
    expect(page).to have_button("Next: what have you got?", disabled: true)
    find("label", text: "cm", exact_text: true).click
    fill_in "Opening, across", with: "20"
    expect(page).to have_no_css("[role=alert]")
    expect(page).to have_button("Next: what have you got?", disabled: false)
  end

  it "shows what the keys do by a question mark, but not while one is typed" do
    open_wreath("rope ring", "cover")
    find_field("Name of the wreath").send_keys("?")
    expect(page).to have_field("Name of the wreath", with: /\?/)
    expect(page).to have_no_css("dialog")
    find("button", text: "Front").send_keys("?")
    expect(page).to have_css("dialog h2", text: "What the keys do")
    expect(page).to have_css("dialog dt", text: "Page Down")
    expect(page).to be_axe_clean
    click_on "Close"
    expect(page).to have_no_css("dialog")
  end

  it "does not scroll what lies behind a dialog, until the last is closed" do
    held = -> { page.evaluate_script("getComputedStyle(document.documentElement).overflowY") == "hidden" }
    visit "/"
    expect(page).to have_css("h2", text: "rope ring")
    expect(page.evaluate_script("document.documentElement.scrollHeight > innerHeight")).to be true
    expect(held.call).to be false
    find("body").send_keys("?")
    expect(page).to have_css("dialog h2", text: "What the keys do")
    expect(held.call).to be true
    click_on "Close"
    expect(page).to have_no_css("dialog")
    expect(page).to have_no_css("html.held")
    expect(held.call).to be false
  end
end
