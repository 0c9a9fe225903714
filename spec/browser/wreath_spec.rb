# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../support/keys"
require "vips"

RSpec.describe "A wreath on the screen", :browser, :store do
  before { load_demo }

  # The colours of the drawing in a grid of places, as they are seen on the page.
  def colours_at(bounds)
    left, top, right, bottom = bounds
    places = (1..19).to_a.product((1..19).to_a)
      .map { |i, j| [left + (right - left) * i / 20.0, top + (bottom - top) * j / 20.0] }
    seen = page.evaluate_script(<<~JS, bounds, places)
      (([left, top, right, bottom], places) => {
        const canvas = document.querySelector("section[aria-label=Drawing] canvas")
        const svg = document.querySelector("section[aria-label=Drawing] [role=tabpanel] svg")
        if (!canvas) return places.map(([x, y]) => {
          const place = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM())
          return [place.x, place.y]
        })
        const box = canvas.getBoundingClientRect(), pad = (right - left) * 0.05
        const [wide, high] = [right - left + 2 * pad, bottom - top + 2 * pad]
        const scale = Math.min(box.width / wide, box.height / high)
        const [aside, down] = [(box.width - wide * scale) / 2, (box.height - high * scale) / 2]
        return places.map(([x, y]) =>
          [box.left + aside + (x - left + pad) * scale, box.top + down + (y - top + pad) * scale])
      })(arguments[0], arguments[1])
    JS
    shot = Vips::Image.new_from_buffer(Base64.decode64(page.driver.render_base64(:png)), "").gaussblur(1.5).copy_memory
    seen.map { |x, y| shot.getpoint(x.round, y.round).first(3) }
  end

  # The share of places that have another colour.
  def unlike(some, others) = some.zip(others).count { |a, b| a.zip(b).any? { |x, y| (x - y).abs > 60 } }.fdiv(some.size)

  it "takes a maker from nothing to lengths, packages and price" do
    begin_wreath
    select "Indigo cord", from: "Material"
    # 8 pi over 0.6 cm, rounded down.
    expect(page).to have_css("footer button", text: /\A106\s*coils/)
    click_on "Form"
    expect(page).to have_field("Outside, across", with: "14 in")
    fill_in "Outside, across", with: "18"
    fill_in "Opening, across", with: "12 1/2"
    # 12 1/2 pi over the same.
    expect(page).to have_css("footer button", text: /166\s*coils/)
    find_field("Rails").click
    expect(page).to have_field("Opening, across", with: "12 1/2 in")
    click_on "Cover"
    select "Spiral wrap", from: "Covering"
    expect(page).to have_css("footer button", text: /turns/)
    expect(page).to have_css("svg[role=img] g[data-lie=turns]") { drawn(_1) >= 20 }
    select "Rust striped tape", from: "Material"
    expect(page).to have_css("footer button", text: "of Rust striped tape")
    find("nav[aria-label=Stages] a", text: /\ACut/).click
    expect(page).to have_css("h2", text: "Cut sheet")
    expect(page).to have_text("Rust striped tape")
    click_on "Buy"
    expect(page).to have_css("h2", text: /to pay|Nothing to buy/)
    saved
    plan = RealStore.store.wreaths.all.last["plan"]
    expect(plan["form"]).to include("outside" => 18, "inside" => "12 1/2")
    expect(plan["layers"][0]).to include("method" => "spiral_wrap", "material" => "rust")
  end

  it "shows what is wrong beside the field, and keeps the last good answer" do
    open_wreath("rope ring", "form")
    fill_in "Opening, across", with: "15"
    within("[data-place='form.inside']") {
      expect(page).to have_css("[role=alert]",
        text: "The opening (15 in) must be smaller than the form (14 in).")
    }
    expect(page).to have_text("show the last plan that could be worked")
    expect(tape("coils")).to eq "80"
    fill_in "Opening, across", with: "fish"
    within("[data-place='form.inside']") {
      expect(page).to have_css("[role=alert]",
        text: /must be a length such as 14, “31\u20091⁄2” or “80 cm”; “fish” is none/)
    }
    expect(find_field("Opening, across").value).to eq "fish"
    fill_in "Opening, across", with: "20 cm"
    expect(page).to have_no_css("[role=alert]")
    find_field("Rails").click
    expect(page).to have_field("Opening, across", with: "7.874 in")
  end

  it "moves the turns when the lap changes, as the sum says" do
    open_wreath("marigold")
    before = drawn(all("g[data-lie=turns]").last)
    fill_in "Lap at the wide edge", with: "3/4"
    expect(page).to have_no_css("footer button", text: /\A30\s/)
    turns = tape("turns").to_i
    expect(turns).to be > 30
    expect(drawn(all("g[data-lie=turns]").last)).to be > before
  end

  it "mends what a finding names with one button" do
    open_wreath("undyed rope", "form")
    fill_in "Opening, across", with: "9"
    click_on "Cover"
    expect(page).to have_text("The form shows at the outside edge")
    expect(page).to have_text(/to pay instead of|same packages/)
    click_on "Set lie of the coils to Tight inside"
    expect(page).to have_no_text("The form shows at the outside edge")
    expect(page).to have_css("li", text: /\d+ fillers/)
  end

  it "opens the sum behind every figure on the tape, and closes it with Escape" do
    open_wreath("rope ring")
    all("footer button").map { _1[:title] }.each { expect(_1).to eq "Show the working" }
    find("footer button", text: "coils").click
    within("dialog") { expect(page).to have_css("tr", text: /Coils that fit it.*80/m) }
    page.driver.browser.keyboard.type(:escape)
    expect(page).to have_no_css("dialog[open]")
    find("footer button", text: "to pay").click
    within("dialog") { expect(page).to have_css("tr", text: /To buy, whole packages.*10\.50/m) }
  end

  it "draws front, back and the cut through the band" do
    open_wreath("rope ring")
    seen = "seen from the front. Rope coil: 80 coils, 13 fillers, of Tarred hemp cord."
    expect(page).to have_css("svg[aria-label*='#{seen}']")
    click_on "Back"
    expect(page).to have_css("svg[aria-label*='seen from the back']")
    click_on "Cut through"
    expect(page).to have_css("svg[aria-label*='Cut through the band: 3 in across']")
    find("[role=tab]", text: "Cut through").send_keys(:left)
    expect(page).to have_css("[role=tab][aria-selected=true]", text: "Back", focused: true)
  end

  # From the bare form on, in the order of the steps: by the slider's keys, and played.
  it "is watched being made, piece by piece, as far as one likes" do
    open_wreath("rope ring", "cover")
    click_on "Being made"
    slider = find_field("How far it is made", type: "range")
    expect(page).to have_css("canvas[aria-label='The wreath as it is made: Prepare the form']")
    steps = Lantern.work(example_plan("door-7-rope-ring"))["steps"]
    before = steps.take_while { !_1["title"].start_with?("Coil the cord") }.sum { [_1["count"] || 1, 1].max }
    # A click would take it to its middle.
    slider.execute_script("this.focus()")
    (before + 5).times do |i|
      page.driver.browser.keyboard.type(:right)
      expect(page).to have_field("How far it is made", type: "range", with: (i + 1).to_s)
    end
    expect(page).to have_css("canvas[aria-label*='Coil the cord, tight on the inside edge, 5 of 80']")
    expect(page).to be_axe_clean
    page.driver.browser.keyboard.type(:end)
    expect(page).to have_css("canvas[aria-label='The wreath as it is made: Finished']")
    click_on "Play"
    expect(page).to have_button("Stop")
    expect(page).to have_css("canvas[aria-label*='Coil the cord']")
    click_on "Stop"
    expect(page).to have_button("Play")
    stopped = slider.value.to_i
    slider.execute_script("this.focus()")
    page.driver.browser.keyboard.type(:left)
    expect(page).to have_field("How far it is made", type: "range", with: (stopped - 1).to_s)
  end

  # Being made is painted on a canvas; the front is drawn. Looked at in a grid of places, they show the same colours.
  {
    "rope ring" => "door-7-rope-ring", "acorn" => "door-13-acorn", "undyed rope and bow" => "door-14-undyed-rope"
  }.each do |name, plan|
    it "shows the #{name} being made as it is drawn: bare at first, and in the end the same, also when taken back" do
      open_wreath(name, "cover")
      bounds = Lantern.work(example_plan(plan))["drawing"]["bounds"]
      expect(page).to have_css("section[aria-label=Drawing] [data-lie] path", visible: :all)
      drawn = colours_at(bounds)
      click_on "Being made"
      slider = find_field("How far it is made", type: "range")
      go_to = ->(to) {
        slider.execute_script("this.focus()")
        page.driver.browser.keyboard.type(*to)
      }
      expect(page).to have_css("canvas[aria-label*='Prepare the form']")
      expect(unlike(drawn, colours_at(bounds))).to be > 0.1
      go_to.call([:end])
      expect(page).to have_css("canvas[aria-label$='Finished']")
      expect(unlike(drawn, colours_at(bounds))).to be < 0.04
      go_to.call([:left] * 3)
      expect(page).to have_no_css("canvas[aria-label$='Finished']")
      go_to.call([:right] * 3)
      expect(page).to have_css("canvas[aria-label$='Finished']")
      expect(unlike(drawn, colours_at(bounds))).to be < 0.04
    end
  end

  it "is sent as a film of how it is made: of all of it, or of one step" do
    open_wreath("acorn", "cover")
    click_on "Being made"
    click_on "Film…"
    expect(page).to be_axe_clean
    click_on "Make the film"
    expect(page).to have_link("Save the film", wait: 60)
    expect(find_link("Save the film")[:download]).to match(/acorn.*\.webp\z/)
    film = find("img[alt^='The wreath being made']")
    page.document.synchronize { raise Capybara::ElementNotFound unless film.evaluate_script("this.naturalWidth") > 200 }
    find("label", text: "GIF").click
    select "Lay the rows", from: "Of what"
    click_on "Make another"
    expect(page).to have_css("a[download$='.gif']", text: "Save the film", wait: 60)
    expect(find_link("Save the film")[:href]).to start_with "data:image/gif;base64,R0lG"
  end

  it "says which piece the mouse is over, found by where it lies" do
    open_wreath("rope ring")
    expect(page).to have_css("g[data-lie=coils] path", visible: :all)
    place = page.evaluate_script(<<~JS)
      (() => {
        const svg = document.querySelector("section[aria-label=Drawing] svg")
        const { x, y } = new DOMPoint(0, -4.4).matrixTransform(svg.getScreenCTM())
        return { x, y }
      })()
    JS
    page.driver.browser.mouse.move(x: place["x"], y: place["y"])
    expect(page).to have_text(/coils: \d+ of 80/)
    page.driver.browser.mouse.move(x: 1, y: 1)
    expect(page).to have_no_text(/coils: \d+ of 80/)
  end

  it "undoes, step by step" do
    open_wreath("rope ring", "form")
    fill_in "Outside, across", with: "16"
    saved
    click_on "Undo" while page.has_css?("button", text: "Undo", wait: 0.3)
    expect(page).to have_field("Outside, across", with: "14 in")
    saved
    expect(RealStore.store.wreaths.all.find { _1["name"].include?("rope ring") }["plan"]["form"]["outside"]).to eq 14
  end

  it "switches inches and centimetres and back, and loses nothing" do
    open_wreath("rope ring", "form")
    find("header label", text: "cm").click
    expect(page).to have_field("Outside, across", with: "35.56 cm")
    expect(page).to have_css("footer button", text: /80\s*coils/)
    find("header label", text: "inches").click
    expect(page).to have_field("Outside, across", with: "14 in")
    saved
  end

  it "is worked by keyboard alone" do
    open_wreath("rope ring", "form")
    keys = page.driver.browser.keyboard
    find_field("Outside, across").send_keys([:control, "a"], "16", :tab)
    expect(page).to have_css("svg text", text: "16 in")
    find("nav[aria-label=Stages] a", text: "Cover").send_keys(:enter)
    expect(page).to have_css("h2", text: "Rope coil")
    page.execute_script("document.querySelector('input[value=tight_inside]').focus()")
    keys.type(:right)
    expect(page).to have_css("input[value=even]:checked", visible: :all)
    page.execute_script("document.querySelector('footer button').focus()")
    keys.type(:enter)
    expect(page).to have_css("dialog[open]")
  end

  it "keeps several layers, each with its own controls" do
    open_wreath("marigold")
    click_on "Add a layer on top"
    within("dialog") do
      expect(page).to have_css("button svg", minimum: 8, visible: :all)
      expect(page).to be_axe_clean
      click_on "Knotted strips"
    end
    expect(page).to have_css("fieldset", text: /1\. Spiral wrap\s*2\. Knotted strips/)
    expect(page).to have_css("h2", text: "Knotted strips")
    click_on "Take this layer off"
    expect(page).to have_css("h2", text: "Spiral wrap")
  end

  it "says that a wreath is not there" do
    visit "/wreaths/4711/cover"
    expect(page).to have_css("h1", text: "This wreath is not here")
  end

  it "fits a phone without scrolling sideways, with targets a finger can hit" do
    keep_window(390, 844) do
      open_wreath("rope ring")
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
      small = page.evaluate_script("[...document.querySelectorAll('button, nav a, select, label > span')].filter((e) " \
        "=> e.offsetParent && e.getBoundingClientRect().height < 24).map((e) => e.textContent)")
      expect(small).to eq []
      covered = page.evaluate_script("[...document.querySelectorAll('.row')].filter((row) => { const [a, b] = " \
        "[...row.children].map((e) => e.getBoundingClientRect()); return a.right > b.left + 1 && a.bottom > b.top + " \
        "1 }).map((row) => row.textContent)")
      expect(covered).to eq []
    end
  end

  it "keeps the finer points open while one of them is emptied and typed anew" do
    open_wreath("knotted", "cover")
    find("summary", text: "Finer points", match: :first).click
    field = first("details[open] .row input[type=text], details[open] .row input:not([type])")
    name = field[:id]
    field.set("1 1/2")
    press(:backspace, :backspace, :backspace, :backspace, :backspace)
    expect(page).to have_css("[id='#{name}']", visible: true)
    press("2 in")
    expect(page).to have_field(name, with: "2 in")
    saved
  end

  it "has no fault that axe can find, of a wrap and of knots" do
    ["marigold", "knotted"].each do |name|
      open_wreath(name, "cover")
      expect(page).to be_axe_clean
    end
  end
end
