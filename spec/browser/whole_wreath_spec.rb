# frozen_string_literal: true

require_relative "../support/browser"

# Everything that goes into a wreath, planned, made and written down on the screen.
RSpec.describe "A whole wreath on the screen", :browser, :store do
  before do
    load_demo
    {"heart" => "Wooden heart, 3 in", "berries" => "Berry pick", "sign" => "Street sign"}.each do |id, name|
      RealStore.store.materials.add({"id" => id, "kind" => "piece", "name" => name,
        "offers" => [{"count" => 1, "price" => "1.20"}], "on_hand" => [4]}, "in")
    end
    RealStore.store.materials.add({"id" => "ring", "kind" => "form", "name" => "Wire ring, 14 in",
      "offers" => [{"count" => 1, "price" => "2.40"}]}, "in")
  end

  def stage(name) = find("nav a", text: /\A#{name}/, match: :first).click

  def field(name) = find("div[data-place$='.#{name}']")

  def own(layer) = RealStore.store.wreaths.find(@id)["plan"]["layers"].find { layer === _1 }

  def add_thing(what, material)
    click_on "Add: something fixed on"
    expect(page).to have_css("h2", text: "Something fixed on")
    select what, from: "What"
    select material, from: "Material"
    # What is said of it moves what stands below.
    quiet
  end

  it "is planned, cut, made and written down, every count in the ledger" do
    @id = begin_wreath
    stage "Form"
    before = tape("to pay").delete("$").to_f
    select "Wire ring, 14 in", from: "The form itself"
    expect(page).to have_css("footer button", text: format("%.2f", before + 2.4))

    stage "Trim"
    add_thing("Something else", "Wooden heart, 3 in")
    fill_in "What, in your own words", with: "heart of wood"
    check "In the middle of the opening"
    select "Indigo thin cord", from: "On what cord"
    expect(page).to have_css("tr", text: /The cord it hangs by/)
    expect(page).to have_css("ul.legend li", text: "heart of wood")

    bow_on_bow
    add_thing("Pick", "Berry pick")
    fill_in "How many", with: "2"
    find("label", text: "Cable ties", exact_text: true).click
    field("at").find("input[type=text]").set("3")
    add_thing("Sign", "Street sign")
    find("label", text: "Chenille stems", exact_text: true).click
    field("at").find("input[type=text]").set("9")

    stage "Hang"
    click_on "Add: hanger"
    expect(page).to have_css("h2", text: "Hanger")
    # What is said of it moves what stands below.
    quiet
    click_on "Add: back"
    expect(page).to have_css("h2", text: "Back")
    select "Rust striped tape", from: "Material"
    select "Cable ties, 6 in", from: "Cable ties"
    select "Chenille stems, 12 in", from: "Chenille stems"
    click_on "Add a step"
    find("div[data-place='steps.0.after']").select("heart of wood")
    find("div[data-place='steps.0.title'] input").set("Let the paint dry")
    saved
    expect(page).to be_axe_clean
    check_ledger { make_it }
  end

  # Three layers, each smaller than the one beneath.
  def bow_on_bow
    click_on "Add: bow"
    expect(page).to have_css("h2", text: "Bow")
    select "Rust wired ribbon", from: "Material"
    2.times do |number|
      quiet
      click_on "Add: bow"
      expect(page).to have_css("h2", text: "Bow")
      select ["Marigold wired ribbon", "Rust wired ribbon"][number], from: "Material"
      find("summary", text: "Finer points").click if page.has_no_css?("div[data-place$='.on'] select", wait: 0)
      field("on").find("select").select(["Bow", "Bow 2"][number])
      expect(page).to have_no_css("li", text: "It sits where")
    end
    expect(page).to have_no_css("li", text: /hide the bow beneath/)
  end

  # What is on hand of each material, before and after.
  def check_ledger
    hand = -> { RealStore.store.materials.all.to_h { [_1["material"]["id"], _1["material"]["on_hand"]] } }
    before = hand.call
    stage "Cut"
    click_on "I cut it"
    expect(page).to have_text("Cut: its material is out of the stash")
    after = hand.call
    # Common practice: a pick takes a tie, a sign two stems; half a stem ties a bow, and this hanger is a cord.
    expect(after["heart"]).to eq [3]
    expect(after["berries"]).to eq [2]
    expect(after["sign"]).to eq [3]
    expect(after["ties"].sum).to eq before["ties"].sum - 2
    expect(after["stems"].sum).to eq before["stems"].sum - 4
    expect(after["ring"].sum).to eq 0
    yield
  end

  def make_it
    stage "Bench"
    expect(page).to have_css("h2", text: "Prepare the form")
    steps = find_all("nav[aria-label=Steps] button").map { _1.text[/\A(✓ )?([^\n]+)/, 2] }
    expect(steps).to include("Let the paint dry", "Hang the heart of wood in the middle")
    expect(steps.index("Let the paint dry")).to eq steps.index("Hang the heart of wood in the middle") + 1
    find("nav[aria-label=Steps] button", text: "Fix 2 picks on").click
    expect(page).to have_css("ul[aria-label=Takes] li", text: "2 picks")
    expect(page).to have_css("ul[aria-label=Takes] li", text: "2 ties")
    2.times { click_on "One more" }
    find("nav[aria-label=Steps] button", text: "Look from a distance").click
    click_on "Finish"
    expect(page).to have_css("h2", text: "What did it take?")
    expect(page).to have_field("Berry pick", with: "2")
    click_on "Into the notebook"
    expect(page).to have_css("h3 a", text: "New wreath")
  end

  it "asks what becomes of what sits on a bow that is taken off, and takes it back" do
    plan = example_plan("door-14-undyed-rope")
    plan["layers"] << {"id" => "top", "method" => "bow", "material" => "rust", "on" => "bow"} <<
      {"id" => "pick", "method" => "attach", "what" => "pick", "on" => "top"}
    plan["layers"].find { _1["method"] == "bow" }["id"] = "bow"
    @id = RealStore.store.wreaths.add(plan)["id"]
    visit "/wreaths/#{@id}/trim"
    expect(page).to have_css("h2", text: "Bow")
    click_on "Take this layer off"
    expect(page).to have_css("[role=alertdialog]", text: "Bow 2 sits on it")
    expect(page).to be_axe_clean
    click_on "Put it where this was"
    saved
    expect(own(->(each) { each["id"] == "top" })).to include("at" => 5)
    click_on "Undo"
    saved
    expect(own(->(each) { each["id"] == "top" })["on"]).to eq "bow"
    click_on "Take this layer off"
    click_on "Take it off too"
    saved
    expect(RealStore.store.wreaths.find(@id)["plan"]["layers"].map { _1["id"] } & %w[bow top pick]).to eq []
  end

  it "hangs a thing in the middle by key and by drag, and mixes colours by count" do
    @id = open_wreath("rope ring", "trim")
    click_on "Add: something fixed on"
    handle = find("[role=slider][aria-label^='Something fixed on']")
    handle.send_keys(:home)
    expect(page).to have_css("[role=slider][aria-valuetext='in the middle']")
    handle.send_keys(:right)
    expect(page).to have_css("[role=slider][aria-valuetext='6 o’clock']")
    x, y = page.evaluate_script("(() => { const r = document.querySelector('[role=slider]').getBoundingClientRect(); " \
      "return [r.left + r.width / 2, r.top + r.height / 2] })()")
    middle = page.evaluate_script("(() => { const b = document.querySelector('section[aria-label=Drawing] " \
      "svg').getScreenCTM(); return [b.e, b.f] })()")
    page.driver.browser.mouse.move(x:, y:).down
    page.driver.browser.mouse.move(x: middle[0], y: middle[1] + 4, steps: 6)
    page.driver.browser.mouse.up
    expect(page).to have_css("[role=slider][aria-valuetext='in the middle']")
    saved
    expect(own(->(each) { each["method"] == "attach" })["at"]).to eq "middle"
    @id = open_wreath("knotted check", "cover")
    fill_in "Indigo netting strip", with: "4"
    expect(page).to have_css("tr", text: /Strips to cut|With spares/)
    saved
    expect(own(->(each) { each["method"] == "knotted_strips" })["mix"].last).to eq 4
  end
end
