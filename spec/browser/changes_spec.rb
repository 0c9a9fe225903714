# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "What was changed just now", :browser, :store do
  before { load_demo }

  def bow_tail = find_field("Tail").value

  def type(field, text)
    fill_in field, with: text
    saved
  end

  it "is taken back and done again by buttons and by keys, each said in words, typing as one change" do
    id = open_wreath("undyed rope", "trim")
    before = bow_tail
    type("Tail", "8 1/2")
    find_button("Undo")["title"].then { expect(_1).to match(/\Abow: tail: .+ to 8 1\/2\z/) }
    fill_in "Name of the wreath", with: "Door 14, again"
    saved
    click_on "Undo"
    expect(page).to have_field("Name of the wreath", with: "Door 14, undyed rope and bow")
    find("h1").click
    find("section[aria-label=Drawing]").click
    page.driver.browser.keyboard.type([:control, "z"])
    expect(page).to have_field("Tail", with: before)
    expect(page).to have_no_button("Undo")
    page.driver.browser.keyboard.type([:control, :shift, "z"])
    expect(page).to have_field("Tail", with: "8 1/2 in")
    click_on "Redo"
    expect(page).to have_field("Name of the wreath", with: "Door 14, again")
    expect(page).to have_no_button("Redo")
    saved
    expect(RealStore.store.wreaths.find(id)["name"]).to eq "Door 14, again"
  end

  it "is looked at as a list, and gone back to from there" do
    open_wreath("undyed rope", "trim")
    before = bow_tail
    type("Tail", "8")
    fill_in "Wreaths alike", with: "12"
    saved
    click_on "Changes"
    within("dialog") do
      expect(all("li").map(&:text).first).to match(/wreaths alike: .*12/)
      expect(page).to be_axe_clean
      find("li", text: "bow: tail").click_button("Back to before")
      expect(page).to have_css("li button", text: "Do it again", count: 2)
      click_on "Close"
    end
    expect(page).to have_field("Tail", with: before)
    expect(page).to have_field("Wreaths alike", with: "1")
  end

  it "stands in the history of the wreath on any device, a quarter of an hour as one change, and is gone back to" do
    id = open_wreath("undyed rope", "trim")
    before = bow_tail
    type("Tail", "8")
    type("Tail", "9")
    RealStore.database[:plan_versions].update(at: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 16 MINUTE"))
    row = RealStore.store.wreaths.find(id)
    RealStore.store.wreaths.change(id, row["version"], row["plan"].merge("quantity" => 3))
    on_another_device do
      visit "/wreaths/#{id}/trim"
      expect(page).to have_field("Wreaths alike", with: "3")
      click_on "Changes"
      within("dialog") do
        expect(all("ol[aria-label='Changes on any device, the newest first'] li", count: 2).map(&:text))
          .to match [/\d: wreaths alike: .*3/, /\d: bow: tail: .* to 9/]
        expect(page).to be_axe_clean
        find("li", text: "bow: tail").find("button").click
        click_on "Close"
      end
      expect(page).to have_field("Tail", with: before)
      expect(page).to have_field("Wreaths alike", with: "1")
      click_on "Undo"
      expect(page).to have_field("Wreaths alike", with: "3")
    end
  end
end
