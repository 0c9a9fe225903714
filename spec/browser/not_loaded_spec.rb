# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "A part of a screen that cannot be loaded", :browser, :store do
  def stage(name) = find("nav[aria-label=Stages] a", text: /\A#{name}/).click

  it "says so in its place and leaves the rest as it is, until it is opened again" do
    load_demo
    page.driver.browser.url_blocklist = [/BuyStage/]
    open_wreath("rope ring", "cover")
    stage "Buy"
    expect(page).to have_css("[role=alert]", text: "This part could not be opened")
    expect(page).to have_css("footer li")
    expect(page).to have_css("section[aria-label=Drawing] svg")
    expect(page).to be_axe_clean
    stage "Cut"
    expect(page).to have_css("h2", text: "Cut sheet")
    expect(page).to have_no_css("[role=alert]")
    stage "Buy"
    page.driver.browser.url_blocklist = [/nothing is called so/]
    click_on "Open it again"
    expect(page).to have_css("h2", text: /to pay\z/)
    expect(page).to have_no_css("[role=alert]")
  end
end
