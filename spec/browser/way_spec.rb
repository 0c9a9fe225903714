# frozen_string_literal: true

require_relative "../support/browser"

# Coverings part of the way, bare places and a bare stem, on the screen.
RSpec.describe "Part of the way round on the screen", :browser, :store do
  def end_of(name) = find("[role=slider][aria-label='#{name}']")

  def layer_kept(id, number = 0) = RealStore.store.wreaths.find(id)["plan"]["layers"][number]

  def add(...) = RealStore.store.wreaths.add(plan(...))["id"]

  def open_cover(id)
    visit "/wreaths/#{id}/cover"
    expect(page).to have_css("footer li")
  end

  def middle_of(element)
    page.evaluate_script("(() => { const r = arguments[0].getBoundingClientRect(); return [r.left + r.width / 2, " \
      "r.top + r.height / 2] })()", element)
  end

  before { load_demo }

  it "is chosen, typed, moved by key and dragged; two coverings meet" do
    id = open_wreath("half and half", "cover")
    expect(page).to be_axe_clean
    expect(end_of("Rope coil begins")["aria-valuetext"]).to eq "9 o’clock"
    # Held still while the others change: the tape still ends at nine.
    end_of("Rope coil ends").send_keys(:right, :right)
    expect(page).to have_css("[aria-label='Rope coil ends'][aria-valuenow='4']")
    expect(page).to have_field("To", with: "4")
    fill_in "From", with: "10"
    expect(page).to have_css("[aria-label='Rope coil begins'][aria-valuenow='10']")
    sheet = page.evaluate_script("(() => { const b = document.querySelector('section[aria-label=Drawing] " \
      "svg').getScreenCTM(); return [b.e, b.f] })()")
    from = middle_of(end_of("Rope coil begins"))
    mouse = page.driver.browser.mouse
    mouse.move(x: from[0], y: from[1]).down
    mouse.move(x: sheet[0], y: sheet[1] - 120, steps: 6)
    mouse.up
    expect(page).to have_css("[aria-label='Rope coil begins'][aria-valuenow='0']")
    saved
    expect(layer_kept(id)).to include("from" => 0, "to" => 4)
    fill_in "From", with: "15"
    expect(page).to have_css("[role=alert]", text: /from 0 to 12/)
  end

  it "begins with half of the form, and gives the whole back" do
    id = open_wreath("marigold wrap", "cover")
    whole = tape("turns").to_i
    find("label", text: "Part of it").click
    expect(page).to have_css("footer button", text: /\A#{(whole / 2.0).ceil}/)
    expect(page).to have_field("From", with: "12")
    find("label", text: "All the way").click
    expect(page).to have_css("footer button", text: /\A#{whole}/)
    saved
    expect(layer_kept(id).keys & %w[from to]).to eq []
  end

  it "measures from the start on a form that is open, by key too" do
    id = open_wreath("crescent", "cover")
    find("label", text: "Part of it").click
    expect(end_of("Rope coil begins")["aria-valuetext"]).to eq "0 from the start"
    end_of("Rope coil begins").send_keys(:right, :right)
    expect(page).to have_field("From", with: /\A1( in)?\z/)
    saved
    expect(layer_kept(id)["from"]).to eq 1
  end

  it "points at the bare points of a heart, is not settled, and mends it at a click" do
    heart = {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2}
    open_cover add(name: "A heart", form: heart, materials: [rope], layers: [layer("rope_coil", "rope", fan: 0)])
    expect(page).to have_css("svg text", text: /bare/)
    expect(page).to have_css("li", text: /At the point at (6|12) o’clock .* of the form shows/)
    bare = page.all("svg text", text: /bare/).size
    click_on "Set coils over a corner to 2"
    expect(page).to have_field("Coils over a corner", with: "2", visible: :all)
    expect(bare).to eq 2
    fill_in "Coils over a corner", with: "", visible: :all
    expect(page).to have_no_css("svg text", text: /bare/)
    expect(page).to have_css("nav [aria-label^='Cover'], nav a", text: "Cover")
  end

  it "says that a clover's stem stays bare, and covers it too at a click" do
    clover = {"base" => "wire", "shape" => "clover", "width" => 13, "face" => 2, "rails" => 3}
    id = add(name: "A clover", form: clover, materials: [rope], layers: [layer("rope_coil", "rope")])
    open_cover(id)
    click_on "Add: stem and tendrils"
    expect(page).to have_no_text("The stem stays bare")
    saved
    expect(layer_kept(id, 1)).to include("method" => "stem_wrap", "material" => layer_kept(id)["material"])
  end

  it "covers one part of a joined form, and draws each part as it is built" do
    parts = [{"shape" => "ring", "outside" => 14, "inside" => 10},
      {"shape" => "ring", "outside" => 9, "inside" => 6, "over" => true, "base" => "board"}]
    id = add(name: "Two rings", materials: [ribbon], layers: [layer("spiral_wrap", "tape", part: 2)],
      form: {"base" => "foam", "shape" => "composite", "parts" => parts})
    open_cover(id)
    expect(page).to have_field("Part of a joined form", with: "2")
    fill_in "Part of a joined form", with: "3"
    expect(page).to have_css("[role=alert]", text: "This form has 2 parts; there is no part 3.")
    fill_in "Part of a joined form", with: "1"
    expect(page).to have_no_css("[role=alert]")
    saved
    expect(layer_kept(id)["part"]).to eq 1
  end
end
