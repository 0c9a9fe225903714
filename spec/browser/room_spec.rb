# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "A step for the room", :browser, :store do
  before { load_demo }

  it "is shown large with its moves, goes on by a remote's keys, and counts nothing" do
    id = RealStore.store.wreaths.all.find { _1["name"].include?("Door 14") }["id"]
    visit "/wreaths/#{id}/bench"
    click_on "Make the bow"
    expect(page).to have_css("h2", text: "Make the bow")
    click_on "For the room"
    expect(page).to have_css("h1", text: "Make the bow")
    expect(page).to have_css("figure li", minimum: 6)
    expect(page.evaluate_script("parseFloat(getComputedStyle(document.querySelector('h1')).fontSize)")).to be > 40
    expect(page).to be_axe_clean
    [[:pagedown, "Fix the bow"], [:pageup, "Make the bow"], [:left, "Coil the cord"], [:space, "Make the bow"]]
      .each do |key, title|
      page.driver.browser.keyboard.type(key)
      expect(page).to have_css("h1", text: title)
    end
    find("h1").click
    expect(RealStore.store.bench.state(id)["counts"].values.sum).to eq 0
    page.driver.resize(390, 844)
    expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
  end
end
