# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "The lists", :browser, :store do
  it "shows every wreath drawn, with what there is to pay" do
    load_demo
    visit "/"
    expect(page).to have_css("h2", count: 27)
    expect(page).to have_css("li img", count: 27, visible: :all)
    expect(page).to have_css("li", text: /Door 7, rope ring.*10\.50 to pay/m)
    expect(page).to have_css("li", text: /Door 18, rust stripes.*The stash is enough/m)
    expect(page).to be_axe_clean
    click_on "Delete Door 3, marigold wrap"
    expect(page).to have_css("h2", count: 26)
    find("summary", text: "Deleted: one wreath").click
    expect(page).to have_text("gone for good in 30 days")
    expect(page).to be_axe_clean
    click_on "Bring back Door 3, marigold wrap"
    expect(page).to have_css("h2", count: 27)
    expect(page).to have_no_css("summary", text: "Deleted")
  end

  it "shows a row that cannot be shown, says why, and shows the others" do
    load_demo
    RealStore.database[:materials].where(slug: "rope").update(document: "{\"id\":\"rope\",\"kind\":\"rope\"}")
    RealStore.database[:wreaths].where(Sequel.like(:name, "Door 3,%")).update(plan: "[7]")
    visit "/stash"
    expect(page).to have_css("h3", minimum: 18)
    expect(page).to have_css("li", text: /Tarred hemp cord.*Name is missing/m)
    visit "/"
    expect(page).to have_css("li", text: /Door 3, marigold wrap.*cannot be read any more/m)
    expect(page).to have_css("h2", count: 27)
  end

  it "brings back a backup, and keeps what was there before" do
    load_demo
    RealStore.store.backups.make("daily")
    visit "/"
    click_on "Delete Door 3, marigold wrap"
    expect(page).to have_css("h2", count: 26)
    find("summary", text: "Everything as one file").click
    expect(page).to have_text("The last good backup is less than an hour old")
    first("button", text: "Bring back", exact_text: true).click
    expect(page).to have_text("What is here now is replaced, and kept as a backup.")
    expect(page).to be_axe_clean
    click_on "Bring it back"
    expect(page).to have_css("[role=status]", text: /Restored: 27 wreaths/)
    expect(page).to have_css("h2", count: 27)
    expect(page).to have_css("li", text: "As it was before a restore")
  end

  it "teaches with one sentence and one button where there is nothing" do
    visit "/"
    expect(page).to have_text("Pick a form and see it covered")
    expect(page).to have_link("New wreath")
    visit "/stash"
    expect(page).to have_text("every plan knows what need not be bought")
    expect(page).to be_axe_clean
  end

  it "adds, changes and removes a material, and a wreath sees it" do
    load_demo
    visit "/stash"
    click_on "Add a material"
    within("dialog") do
      fill_in "Name", with: "Saffron cord"
      fill_in "Thickness", with: "1/4"
      click_on "Add a length on hand"
      find("[data-place='on_hand.0'] input").set("40 ft")
      click_on "Add an offer"
      find("[data-place='offers.0.length'] input").set("10 ft")
      find("[data-place='offers.0.price'] input").set("two")
      click_on "Save"
      expect(page).to have_css("[role=alert]", text: /Price must be a decimal text/)
      find("[data-place='offers.0.price'] input").set("2.00")
      expect(page).to be_axe_clean
      click_on "Save"
    end
    expect(page).to have_css("li", text: /Saffron cord.*1⁄4 in thick, 10 ft for \$2\.00/m)
    open_wreath("rope ring")
    select "Saffron cord", from: "Material"
    expect(page).to have_css("footer button", text: /of Saffron cord/)
    saved
    visit "/stash"
    click_on "Change Saffron cord"
    within("dialog") { click_on "Remove from the stash" }
    expect(page).to have_no_css("h3", text: "Saffron cord")
    expect(page).to be_axe_clean
  end

  it "tells whoever saves a material second, and keeps what they typed" do
    load_demo
    visit "/stash"
    click_on "Change Undyed rope"
    stashed = RealStore.store.materials.all.find { _1["material"]["id"] == "undyed-rope" }
    RealStore.store.materials.change(stashed["id"], stashed["version"],
      stashed["material"].merge("name" => "Bleached rope"), "in")
    within("dialog") do
      fill_in "Name", with: "Grey rope"
      click_on "Save"
      expect(page).to have_css("[role=alert]", text: /Somebody saved this in the meantime/)
      expect(page).to have_field("Name", with: "Grey rope")
    end
  end

  it "shows markup in a name as the text it is" do
    RealStore.store.wreaths.add(plan(name: "<img src=x onerror=document.title='hit'>"))
    visit "/"
    expect(page).to have_css("h2", text: "<img src=x")
    expect(page.title).to eq "Wreaths · Crisp Lantern"
  end

  it "says on the list why a wreath cannot be worked, and asks for nothing that would be refused" do
    load_demo
    RealStore.store.wreaths.add(plan(name: "Door 40, too wide", form: {"inside" => 20}))
    page.driver.clear_network_traffic
    visit "/"
    expect(page).to have_css("li img", count: 27, visible: :all)
    expect(page).to have_css("li", text: /Door 40, too wide.*The opening \(20 in\) must be smaller/m)
    open_wreath("marigold", "trim")
    open_wreath("marigold", "form")
    fill_in "Outside, across", with: "no length"
    expect(page).to have_css("[role=alert]", text: /must be a length/)
    quiet
    refused = page.driver.network_traffic.select { (_1.response&.status || 0) >= 400 }
    expect(refused.map { [_1.response.status, _1.url] }).to eq []
  end

  it "says so when the server does not answer, and keeps the screen" do
    load_demo
    open_wreath("rope ring", "form")
    Server::App.set :store, nil
    fill_in "Outside, across", with: "17"
    expect(page).to have_css("[role=status]", text: "Not saved yet: the server is away, trying again")
    expect(page).to have_field("Outside, across", with: "17")
    Server::App.set :store, RealStore.store
    saved
    expect(RealStore.store.wreaths.all.find { _1["name"].include?("rope ring") }["plan"]["form"]["outside"]).to eq 17
  end

  it "has the look the maker chose, here and after a reload, whatever the machine says" do
    load_demo
    visit "/"
    paper = -> { page.evaluate_script("getComputedStyle(document.body).backgroundColor") }
    day = paper.call
    visit "/settings"
    find("label", text: "Evening", exact_text: true).click
    expect(paper.call).not_to eq day
    expect(page).to be_axe_clean
    visit "/"
    expect(page).to have_css("li img", count: 27, visible: :all)
    expect(page).to be_axe_clean(["color-contrast"])
    page.refresh
    expect(page).to have_css("li img", count: 27, visible: :all)
    expect(paper.call).not_to eq day
    visit "/settings"
    expect(page).to have_checked_field("Evening", visible: :all)
    find("label", text: "Day", exact_text: true).click
    expect(paper.call).to eq day
  end

  it "looks through wreaths, sorts, groups and copies them" do
    load_demo
    visit "/"
    expect(page).to have_css("li h2", count: 27)
    fill_in "Look for a wreath", with: "wire star"
    expect(page).to have_css("li h2", text: "Door 24, star")
    expect(page).to have_no_css("li h2", text: "Door 7, rope ring")
    fill_in "Look for a wreath", with: "<b>"
    expect(page).to have_text("No wreath is called so.")
    fill_in "Look for a wreath", with: ""
    select "By name", from: "In order"
    expect(page).to have_css("li:first-child h2", text: "Door 1, ribbon laid in")
    select "By occasion", from: "Groups"
    expect(page).to have_css("li p", text: "Lantern walk")
    expect(page).to have_css("li p", text: "On no occasion")
    expect(page).to be_axe_clean
    click_on "Copy Door 7, rope ring"
    expect(page).to have_css("footer li")
    expect(page).to have_field("Name of the wreath", with: "Door 7, rope ring, a copy")
    names = RealStore.store.wreaths.all.map { _1["name"] }
    expect(names).to include("Door 7, rope ring", "Door 7, rope ring, a copy")
  end

  it "turns the pages of a thousand wreaths, few of them on the page" do
    row = {plan: JSON.generate(plan(materials: [rope], layers: [layer("rope_coil", "rope")]))}
    RealStore.own[:wreaths].multi_insert(Array.new(1000) { |i| row.merge(name: "Wreath #{i + 1}") })
    visit "/"
    expect(page).to have_css("li h2", count: 48)
    expect(page).to have_text("1000 planned")
    expect(page.evaluate_script("document.querySelectorAll('*').length")).to be < 3000
    click_on "Next"
    expect(page).to have_css("li h2", text: /\AWreath 952\z/)
    fill_in "Look for a wreath", with: "Wreath 999"
    expect(page).to have_css("li h2", count: 1)
  end
end
