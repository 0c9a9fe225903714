# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/photo_of_table"
require_relative "../support/pictures"

# Measured from a photo, drawn with a photo, looked at layer by layer.
RSpec.describe "By eye, on the screen", :browser, :store do
  include Pictured

  before { load_demo }

  # It stays until the example is over: a file that nobody holds any more may be gone before the browser reads it.
  def file(bytes, ending) = (@files ||= []).push(Tempfile.new(["photo", ending])).last.tap { |file|
    file.binmode
    file.write(bytes)
    file.flush
  }

  # A tap on the photo, at a pixel of it.
  def tap(pixel)
    box = page.evaluate_script(<<~JS)
      (({x, y, width, height}) => [x, y, width, height])(
        document.querySelector("svg.tapped-photo").getBoundingClientRect())
    JS
    page.driver.browser.mouse.click(x: box[0] + pixel[0] / PhotoOfTable::WIDE * box[2],
      y: box[1] + pixel[1] / PhotoOfTable::HIGH * box[3])
  end

  def measuring
    within("dialog") { yield }
  end

  it "takes the sizes of a ring from a photo beside a sheet, and says how sure they are" do
    photo = PhotoOfTable.new(tilt: 0.2, pan: -0.1, roll: 0.05)
    visit "/new"
    find("button", text: "Wire ring, 16 in").click
    click_on "Measure from a photo…"
    expect(page).to have_text("Lay a sheet of paper flat beside the form")
    attach_file "A photo of the form beside a sheet", file("no picture", ".png").path
    expect(page).to have_css("[role=alert]", text: /is no picture that can be read here/)
    attach_file "A photo of the form beside a sheet", file(photo.png, ".png").path
    expect(page).to have_css("svg.tapped-photo")
    expect(page).to be_axe_clean
    photo.sheet(0).values_at(0, 2, 1, 3).each { tap(_1) }
    photo.round(14.0, 0, taps: 5).each { tap(_1) }
    expect(page).to have_css("[role=alert]", text: "corners are crossed")
    4.times { click_on "One tap back: The sheet’s corners" }
    photo.sheet(0).each { tap(_1) }
    expect(page).to have_css("li", text: /Outside, across.*14 in give or take/m)
    click_on "Opening, across"
    photo.round(8.0, 0, taps: 4).each { tap(_1) }
    expect(page).to have_css("li", text: /Opening, across.*8 in give or take/m)
    click_on "Use these sizes"
    expect(page).to have_field("Outside, across", with: "14 in")
    expect(page).to have_field("Opening, across", with: "8 in")
  end

  it "taps by key: the arrows move the cross, Enter taps" do
    photo = PhotoOfTable.new(tilt: 0, pan: 0, roll: 0)
    open_wreath("kite", "form")
    click_on "Measure from a photo…"
    attach_file "A photo of the form beside a sheet", file(photo.png, ".png").path
    expect(page).to have_css("svg.tapped-photo")
    tab_to(/The photo: the arrow keys/)
    press(:enter, :right, :right, :enter, :down, :enter)
    expect(page).to have_css("li", text: /The sheet’s corners\s*3 of 4/)
    3.times { click_on "One tap back: The sheet’s corners" }
    photo.sheet(0).each { tap(_1) }
    click_on "The outline"
    [[17.5, 0.0], [22.0, 5.0], [17.5, 12.0], [13.0, 5.0]].each { tap(photo.pixel(_1)) }
    click_on "Use these sizes"
    expect(page).to have_css("[data-place='form.width'] input") { |input| input.value.start_with?("9") }
    saved
    expect(page).to have_css("footer button", text: "turns")
  end

  it "draws a material with its photo, at the scale that is said" do
    open_wreath("marigold", "cover")
    select "Add a material…", from: "Material"
    within("dialog") do
      find("label", text: "Ribbon", exact_text: true).click
      fill_in "Name", with: "Photographed tape"
      fill_in "Width", with: "1 1/2"
      fill_in "Length of a package", with: "9 ft"
      fill_in "Price", with: "3.20"
      attach_file "A photo of it", file(picture(width: 300, height: 200).unpack1("@22m"), ".png").path
      expect(page).to have_css("img[alt='The photo']")
      expect(find("input[type=color]").value).to match(/\A#c[5-9a-b]5[7-c]2[5-b]\z/)
      click_on "Add it"
    end
    expect(page).to have_css("section[aria-label=Drawing] pattern image", visible: :all)
    expect(page).to be_axe_clean
    image = find("section[aria-label=Drawing] pattern image", match: :first, visible: :all)
    # A foot is twelve inches: the photo shows as much as the ribbon is wide.
    expect(image["width"].to_f).to eq 1.5
    visit "/stash"
    expect(page).to have_css("li", text: "Photographed tape")
    expect(page).to have_css("svg image", visible: :all)
  end

  it "moves layers by key and by hand, copies them and hides them on the drawing, each undone" do
    id = open_wreath("undyed rope", "trim")
    order = -> { RealStore.store.wreaths.find(id)["plan"]["layers"].map { _1["method"] } }
    before = order.call
    expect(page).to have_css("ol li", text: "1. Bow")
    # Taken up, moved and put down; what moves is spoken.
    handle = find_button("Move Bow")
    handle.send_keys(:space)
    expect(page).to have_css("[role=status], [aria-live]", text: /Bow is taken up: 1 of 2/, visible: :all)
    handle.send_keys(:right)
    expect(page).to have_css("[aria-live]", text: /Bow comes to 2 of 2/, visible: :all)
    handle.send_keys(:space)
    expect(page).to have_css("ol li", text: "2. Bow")
    saved
    expect(order.call).not_to eq before
    expect(order.call.sort).to eq before.sort
    click_on "Undo"
    expect(page).to have_css("ol li", text: "1. Bow")
    find_button("Move Bloom").native.then { |grip|
      from, to = [grip, find_button("Move Bow").native].map { |each|
        each.node.find_position.then { |x, y| {x:, y:} }
      }
      page.driver.browser.mouse.move(**from).down
      page.driver.browser.mouse.move(x: to[:x] - 5, y: to[:y], steps: 12).up
    }
    expect(page).to have_css("ol li", text: "1. Bloom")
    click_on "Copy this layer"
    expect(page).to have_css("ol li", text: "2. Bloom")
    expect(page).to have_css("ol li", text: "3. Bow")
    loops = "section[aria-label=Drawing] g[data-lie=coils]"
    expect(page).to have_css(loops)
    click_on "Hide 81 coils"
    expect(page).to have_no_css(loops)
    expect(page).to be_axe_clean
    click_on "Hide 81 coils"
    expect(page).to have_css(loops)
  end

  it "puts a wreath away and brings it back" do
    visit "/"
    click_on "Put away Door 3, marigold wrap"
    expect(page).to have_text("26 planned")
    expect(page).to have_no_css("h2", text: "Door 3, marigold wrap")
    click_on "1 put away"
    expect(page).to have_css("h2", count: 1)
    expect(page).to be_axe_clean
    click_on "Bring back Door 3, marigold wrap"
    expect(page).to have_text("27 planned")
    expect(page).to have_css("h2", text: "Door 3, marigold wrap")
  end
end

RSpec.describe "A way in for everyone", :browser, :store do
  it "loads the example street when it is asked to, once" do
    visit "/"
    expect(page).to have_text("Pick a form and see it covered")
    click_on "Load the example street"
    expect(page).to have_css("h2", text: "Door 7, rope ring")
    expect(page).to have_no_button("Load the example street")
  end

  it "explains the words and how every number is made" do
    visit "/words"
    expect(page).to have_css("td", text: "girth")
    expect(page).to have_css("h2", text: "The sums")
    expect(page).to have_text("Pappus's second theorem")
    expect(page).to have_no_text("Lantern::Work")
    expect(page).to be_axe_clean
    keep_window(390, 800) { expect(page).to be_axe_clean }
  end

  it "tells a screen reader what is drawn and what has changed" do
    load_demo
    open_wreath("rope ring", "form")
    expect(page).to have_css("svg[aria-label*='Rope coil: 80 coils, 13 fillers, of Tarred hemp cord.']")
    fill_in "Outside, across", with: "15"
    expect(page).to have_css("footer [role=status]", text: /\ANow .*coils/, visible: :all)
  end

  it "says the count aloud when it is asked to, and only then" do
    load_demo
    id = RealStore.store.wreaths.all.find { _1["name"].include?("rope ring") }["id"]
    visit "/wreaths/#{id}/bench"
    expect(page).to have_css("h2", text: "Prepare the form")
    # The browser's own voice is not heard here: what it is given to say is written down.
    page.execute_script("window.said = []; speechSynthesis.speak = (each) => said.push(each.text)")
    click_on "Next step"
    click_on "One more"
    expect(page).to have_css("[data-count]", text: "1")
    expect(page.evaluate_script("said")).to eq []
    click_on "Say the count aloud"
    click_on "One more"
    expect(page).to have_css("[data-count]", text: "2")
    expect(page.evaluate_script("said")).to match ["1", "2. length 1 ends in about 11 coils"]
    expect(page).to be_axe_clean
    click_on "Stop saying the count"
  end
end
