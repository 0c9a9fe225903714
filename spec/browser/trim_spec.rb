# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../support/keys"

RSpec.describe "Trimming and hanging on the screen", :browser, :store do
  before { load_demo }

  def handle(name) = find("[role=slider][aria-label^='#{name}']")

  it "adds a bow, says what its ribbon must be like, and mends it at a click" do
    open_wreath("rope ring", "trim")
    expect(page).to have_css("h2", text: "Nothing fixed on yet")
    expect(page).to be_axe_clean
    click_on "Add: bow"
    expect(page).to have_css("section[aria-label=Trim] h2", text: "Bow")
    select "Marigold herringbone tape", from: "Material"
    expect(page).to have_css("li", text: /has no wire in its edges: loops of 4 in fall in/)
    click_on "Set loop, laid flat to 3 in"
    expect(page).to have_no_css("li", text: /fall in/)
    expect(page).to have_css("tr", text: /Ribbon with tails and loops.*4 × 2 × 3.*in/)
    select "Stacked strips", from: "Kind of bow"
    expect(page).to have_css("tr", text: /Strip, .*4 × 18.*72 in/)
    expect(page).to have_css("footer button", text: /loops in the bow/)
    expect(page).to be_axe_clean
    saved
  end

  it "puts a bow at its hour by dragging it round the form, and by typing the hour" do
    id = open_wreath("rope and bow", "trim")
    expect(handle("Bow")["aria-valuenow"]).to eq "5"
    sheet = page.evaluate_script("(() => { const b = document.querySelector('section[aria-label=Drawing] " \
      "svg').getScreenCTM(); return [b.e, b.f] })()")
    # The middle of the form is at nought; nine o'clock lies to its left.
    from = page.evaluate_script("(() => { const r = " \
      "document.querySelector('[role=slider][aria-label^=Bow]').getBoundingClientRect(); return [r.left + r.width / " \
      "2, r.top + r.height / 2] })()")
    mouse = page.driver.browser.mouse
    mouse.move(x: from[0], y: from[1]).down
    mouse.move(x: sheet[0] - 120, y: sheet[1], steps: 6)
    # All of it goes with the hand, and where the hand rests it is worked.
    expect(page).to have_css(".carried-says", text: "9 o’clock")
    picture = find(".carried-says").find(:xpath, "..")
    expect(picture).to have_css("[data-lie=tails] path").and have_css("[data-lie=bow_loops] path")
    mouse.up
    expect(page).to have_css("[role=slider][aria-label^='Bow'][aria-valuenow='9']")
    expect(page).to have_no_css(".carried-says")
    saved
    expect(RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["id"] == "bow" }["at"]).to eq 9
    fill_in "At, by the clock", with: "2.5"
    expect(page).to have_css("[role=slider][aria-label^='Bow'][aria-valuenow='2.5']")
    fill_in "At, by the clock", with: "25"
    expect(page).to have_css("[role=alert]", text: /from 0 to 12/)
  end

  it "makes a bow's tails longer by dragging them out, and by keys, by the marks of a tape, and takes it back" do
    id = open_wreath("rope and bow", "trim")
    kept = -> { RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["id"] == "bow" } }
    was = kept.call["tail"].to_f
    tail = "[role=slider][aria-label='Tail of the bow']"
    expect(find(tail)["aria-valuenow"].to_f).to eq was
    middle = ->(css) {
      page.evaluate_script("(() => { const r = document.querySelector(#{css.to_json}).getBoundingClientRect(); " \
        "return [r.left + r.width / 2, r.top + r.height / 2] })()")
    }
    bow, tip = middle.call("[role=slider][aria-label^='Bow']"), middle.call(tail)
    mouse = page.driver.browser.mouse
    mouse.move(x: tip[0], y: tip[1]).down
    mouse.move(x: bow[0] + (tip[0] - bow[0]) / 2, y: bow[1] + (tip[1] - bow[1]) / 2, steps: 4)
    mouse.up
    expect(page).to have_no_css("#{tail}[aria-valuenow='#{was}']")
    saved
    expect(kept.call["tail"]).to be_within(0.5).of(was / 2)
    expect(kept.call["tail"] % 0.25).to eq 0
    dragged = kept.call["tail"]
    find(tail).send_keys(:right)
    expect(page).to have_css(tail + "[aria-valuenow='#{(dragged + 0.25).to_s.delete_suffix(".0")}']")
    saved
    # What is dragged and moved on by keys is one change.
    click_on "Undo"
    expect(find(tail)["aria-valuenow"].to_f).to eq was
    expect(page).to have_css("[role=slider][aria-label='Loop of the bow']")
  end

  it "never lets the hanger be forgotten, and prints what is cut to the outline" do
    open_wreath("rope ring", "hang")
    expect(page).to have_css("h2", text: "Nothing to hang it by yet")
    click_on "Add: hanger"
    expect(page).to have_css("section[aria-label=Hang] h2", text: "Hanger")
    select "Joined rope ends", from: "Kind of hanger"
    expect(page).to have_css("tr", text: /Joined rope ends.*as is usual.*10 in/)
    find("label", text: "At the end").click
    click_on "Add: back"
    expect(page).to have_css("section[aria-label=Hang] h2", text: "Back")
    expect(page).to have_link("Back as PDF", href: /template.pdf\?part=back/)
    expect(page).to have_link("Outline as SVG")
    select "Glue sticks, 7 mm", from: "Glue sticks"
    expect(page).to have_css("tr", text: /Sticks of 7 by 100 mm/)
    saved
    expect(page).to be_axe_clean
    find("nav[aria-label=Stages] a", text: "Buy").click
    expect(page).to have_css("h3", text: "Glue sticks, 7 mm")
  end

  it "keeps the bow and the hanger when another covering is taken" do
    id = open_wreath("rope and bow", "cover")
    click_on "See all on this form", match: :first
    expect(page).to have_css("h3, h2", text: "Spiral wrap")
    find("li", text: "Spiral wrap", match: :first).click_on "Take this"
    expect(page).to have_css("section[aria-label=Cover] h2", text: "Spiral wrap")
    saved
    expect(RealStore.store.wreaths.find(id)["plan"]["layers"].map { _1["method"] })
      .to eq %w[spiral_wrap bow attach hanger backing]
  end

  it "offers what finished makes teach, takes it up, and leaves it out again" do
    open_wreath("rope ring", "cover")
    expect(page).to have_text("Your last 4 took about 4 % more Tarred hemp cord.")
    before = tape("of Tarred hemp cord")
    click_on "Plan with it"
    expect(page).to have_text("The plan counts with it.")
    expect(page).to have_css("tr", text: /With what was learned: Your last 4 took/)
    expect(tape("of Tarred hemp cord")).not_to eq before
    click_on "Leave it out"
    expect(page).to have_css("button", text: "Plan with it")
    expect(page).to have_no_css("tr", text: /With what was learned/)
    expect(tape("of Tarred hemp cord")).to eq before
  end
end
