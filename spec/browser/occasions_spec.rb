# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"

RSpec.describe "Occasions on the screen", :browser, :store do
  before { load_demo }

  def open_walk
    visit "/occasions"
    click_on "Lantern walk"
    expect(page).to have_css("dl dt", text: "at the bench")
  end

  it "shows the days, the money and what planning together saves, without a word typed" do
    open_walk
    expect(page).to have_css("ol li", text: /Buy by/)
    expect(page).to have_css("ol li", text: /They hang.*21 June/m)
    expect(page).to have_css("dt", text: /saved over .* one by one/)
    expect(page).to be_axe_clean
    # Whether it is a sale week or comes to be one, waiting is one click, and can be taken back.
    click_on "Buy at sale prices"
    expect(page).to have_no_text("Sale weeks are those of the simulated shop")
    expect(page).to have_checked_field("Buy at sale prices")
    uncheck "Buy at sale prices"
    expect(page).to have_text("Sale weeks are those of the simulated shop")
    find("label", text: "Buy", exact_text: true).click
    expect(page).to have_css("h3", text: "Tarred hemp cord")
    expect(page).to have_css("td", text: /a foot/)
    expect(page).to be_axe_clean
    find("label", text: "Cut", exact_text: true).click
    expect(page).to have_text("fillers (Door 7, rope ring)")
    expect(page).to be_axe_clean
  end

  it "plans a new one: a day, evenings, a budget and the wreaths that hang on it" do
    visit "/occasions"
    click_on "New occasion"
    fill_in "Name of the occasion", with: "Stall day"
    fill_in "May cost", with: "1.5O"
    expect(page).to have_css("[role=alert]", text: /May cost must be a decimal text/)
    fill_in "May cost", with: "30.00"
    fill_in "They hang on", with: Date.new(2031, 5, 1)
    %w[Tuesday Friday].each { |day| check day, allow_label_click: true }
    expect(page).to have_css("[role=status]", text: /\ASaved\z/)
    find("label", text: "Wreaths", exact_text: true).click
    check "Door 8, twelve bows"
    check "Door 7, rope ring"
    expect(page).to have_css("dd", text: /\A2\z/)
    expect(page).to have_css("dt", text: /of \$30\.00 to spare|over the \$30\.00/)
    find("label", text: "Days", exact_text: true).click
    expect(page).to have_css("ol li", text: /They hang.*1 May 2031/m)
    page.refresh
    expect(page).to have_field("Name of the occasion", with: "Stall day")
    click_on "Delete this occasion"
    expect(page).to have_css("h2", text: "Lantern walk")
    expect(page).to have_no_text("Stall day")
  end

  it "keeps every wreath that is ticked, also where the next is ticked before the last was answered" do
    id = RealStore.store.occasions.all.first["id"]
    kept = -> { RealStore.store.occasions.find(id)["wreaths"] }
    names = RealStore.store.wreaths.all.reject { kept.call.include?(_1["id"]) }.first(3).map { _1["name"] }
    expect(names.size).to eq 3
    before = kept.call
    visit "/occasions/#{id}?part=wreaths"
    boxes = names.map { find_field(_1) }
    line = {offline: false, latency: 700, downloadThroughput: -1, uploadThroughput: -1}
    page.driver.browser.page.command("Network.emulateNetworkConditions", **line)
    boxes.each(&:check)
    expect(boxes).to all be_checked
    eventually { (kept.call - before).size == 3 }
    expect(kept.call & before).to eq before
    page.driver.wait_for_network_idle
    expect(boxes).to all be_checked
  end

  it "does one step for all wreaths at the bench, each counted as its own" do
    open_walk
    find("label", text: "Cut", exact_text: true).click
    expect(page).to have_css("section[aria-label='Handed out'] li", text: /Door 7.*package 1: 3 fillers/m)
    find("label", text: "Bench", exact_text: true).click
    expect(page).to have_css("ol li h2", text: "Cut the pieces")
    expect(page).to be_axe_clean
    within("ol > li", text: "Cut the pieces") { click_on("Door 8, twelve bows") }
    expect(page).to have_css("h1", text: "Door 8, twelve bows")
    expect(page).to have_css("ul[aria-label=Takes] li", text: "12 pieces")
    2.times { click_on "One more" }
    click_on "Next wreath: Door 10, sailcloth cones"
    expect(page).to have_css("h1", text: "Door 10, sailcloth cones")
    expect(page).to have_css("h2", text: "Cut the pieces")
    click_on "One more"
    expect(page).to have_css("[data-kept]", text: "Saved")
    click_on "All steps"
    expect(page).to have_css("ol li h2", text: "Cut the pieces")
    counted = %w[twelve\ bows sailcloth\ cones].map do |name|
      id = RealStore.store.wreaths.all.find { _1["name"].include?(name) }["id"]
      RealStore.store.bench.state(id)["counts"]["cut"]
    end
    expect(counted).to eq [2, 1]
  end

  def walk = RealStore.store.occasions.all[0]

  it "goes on saving when the server was away for a moment" do
    open_walk
    Server::App.set :store, nil
    fill_in "May cost", with: "171.00"
    expect(page).to have_css("[role=status]", text: "Not saved yet: the server is away, trying again")
    Server::App.set :store, RealStore.store
    saved
    expect(walk["occasion"]["budget"]).to eq "171.00"
    fill_in "May cost", with: "172.00"
    saved
    expect(walk["occasion"]["budget"]).to eq "172.00"
  end

  it "keeps both when somebody else saved first, until the maker has chosen" do
    open_walk
    away do
      fill_in "May cost", with: "173.00"
      expect(page).to have_css("[role=status]", text: "the server is away")
      theirs = walk["occasion"].merge("budget" => "99.00")
      RealStore.store.occasions.change(walk["id"], walk["version"], walk["name"], walk["units"], theirs)
    end
    expect(page).to have_css("dialog h2", text: "This occasion was changed somewhere else")
    expect(page).to have_css("dialog tr", text: /budget\s*173.00\s*99.00/)
    expect(walk["occasion"]["budget"]).to eq "99.00"
    click_on "Keep mine"
    saved
    expect(page).to have_field("May cost", with: "173.00")
    expect(walk["occasion"]["budget"]).to eq "173.00"
  end

  it "saves what was typed when the page is left at once" do
    open_walk
    fill_in "May cost", with: "174.00"
    visit "/stash"
    expect(page).to have_css("h3")
    open_walk
    expect(page).to have_field("May cost", with: "174.00")
  end

  it "says under Buy what sale, tax and time do to the money" do
    open_wreath("rope ring", "buy")
    find("summary", text: "Sale, tax").click
    fill_in "Tax on what is bought, %", with: "200"
    expect(page).to have_css("[role=alert]", text: /from 0 to 100/)
    fill_in "Tax on what is bought, %", with: "10"
    expect(page).to have_css("h2", text: "$11.55 to pay")
    fill_in "An hour at the bench", with: "12.00"
    expect(page).to have_css("tr", text: /Time at the bench, a wreath.*12\.00 ÷ 60/)
    expect(page).to have_css("p", text: /safely enough|enough .* of the time/)
    expect(page).to be_axe_clean
  end

  it "draws cloth as a plan of strips" do
    open_wreath("knotted check", "cut")
    expect(page).to have_css("svg[aria-label^='A sheet of 18 in by 21 in']")
    expect(page).to have_text("26 strips, Check cotton")
    expect(page).to be_axe_clean
  end
end

RSpec.describe "Files in, on the screen", :browser, :store do
  def file(name, text) = Tempfile.new([name, File.extname(name)]).tap { |file| file.write(text) && file.flush }.path

  it "tries a CSV first, names every bad line, and takes it in when told to" do
    visit "/stash"
    click_on "Take in CSV"
    attach_file "CSV file", file("bad.csv", "row,id,kind,name,diameter\nmaterial,cord,rope,Cord,thick\n")
    expect(page).to have_css("[role=alert]", text: /Nothing was taken in. 1 line is wrong.*Line 2/m)
    attach_file "CSV file",
      file("good.csv", "row,id,kind,name,diameter,length\nmaterial,cord,rope,Row cord,1/4,\npiece,cord,,,,44\n")
    expect(page).to have_text("1 new, 0 changed, 0 the same as before.")
    expect(page).to be_axe_clean
    expect(RealStore.store.materials.all).to eq []
    click_on "Take it in"
    expect(page).to have_css("[role=status]", text: "Taken in: 1 new")
    click_on "Close"
    expect(page).to have_css("h3", text: "Row cord")
  end

  it "takes over the prices of the made-up shop, which says that it is one" do
    load_demo
    visit "/stash"
    click_on "Shop"
    expect(page).to have_text("A simulated shop: every price in it is made up")
    expect(page).to be_axe_clean
    click_on "Take over its prices"
    expect(page).to have_css("[role=status]", text: /materials have new prices/)
    expect(RealStore.store.materials.all.find { _1["material"]["id"] == "rope" }["material"]["offers"].size).to eq 2
  end

  it "restores everything from one file" do
    load_demo
    archive = RealStore.archive
    RealStore.empty
    visit "/"
    find("summary", text: "Everything as one file").click
    attach_file "Archive to restore", file("x.json", "no json")
    click_on "Restore it"
    expect(page).to have_css("[role=status]", text: "no archive of Crisp Lantern")
    attach_file "Archive to restore", file("archive.jsonl", archive)
    click_on "Restore it"
    expect(page).to have_css("[role=status]", text: "Restored: 27 wreaths, 22 materials, 1 occasions.")
    expect(page).to have_css("h2 a", text: "Door 7, rope ring")
    expect(page).to be_axe_clean
  end
end
