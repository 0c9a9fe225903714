# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/photo_of_door"

# The wreath on the maker's own door.
RSpec.describe "On your door", :browser, :store do
  before { load_demo }

  let(:camera) { PhotoOfDoor.new(pan: 0.25, tilt: 0.08) }

  let(:photo) do
    Tempfile.new(%w[door .png], binmode: true).tap do |file|
      file.write(camera.png)
      file.close
    end
  end

  def tap_photo(pixel)
    shown = find("svg.tapped-photo")
    box = shown.evaluate_script(<<~JS)
      (({left, top, width, height}) => [left, top, width, height])(this.getBoundingClientRect())
    JS
    x, y = pixel.zip([PhotoOfDoor::WIDE, PhotoOfDoor::HIGH]).map { _1 / _2.to_f }
    page.driver.click(box[0] + x * box[2], box[1] + y * box[3])
  end

  # What is seen of the wreath's box on the screen, as shares of the door's picture; nil while it is not there.
  def seen_box
    page.evaluate_script(<<~JS)
      (() => {
        const [door, wreath] = [".on-door", ".on-door .hung-wreath"].map((each) =>
          document.querySelector(each)?.getBoundingClientRect())
        return wreath && [(wreath.left - door.left) / door.width, (wreath.top - door.top) / door.height,
          (wreath.right - door.left) / door.width, (wreath.bottom - door.top) / door.height]
      })()
    JS
  end

  def answer(name, place, **more)
    plan = RealStore.store.wreaths.all.find { _1["name"].include?(name) }["plan"]
    Lantern::Ask::OnDoor.answer({"plan" => plan, "place" => place, **more.transform_keys(&:to_s)})
  end

  def expect_seen(hung)
    (left, right), (top, bottom) = hung["corners"].transpose.map(&:minmax)
    wide, high = hung["size"]
    page.document.synchronize do
      box = seen_box or raise Capybara::ElementNotFound, "no wreath on the door"
      off = box.zip([left / wide, top / high, right / wide, bottom / high]).map { |a, b| (a - b).abs }
      # A hundredth of the wreath.
      raise Capybara::ElementNotFound, "off by #{off}" if off.max > 0.01 * (right - left) / wide
    end
  end

  it "goes from a finished plan to its picture on a new door in eight actions, on a known one in two" do
    open_wreath("Door 14", "cover")
    RealStore.store.places.all.each { RealStore.store.places.delete(_1["id"], _1["version"]) }
    click_on "On your door"
    attach_file "A photo of the door", photo.path
    expect(page).to have_css("[role=status]", text: "Tap its four corners")
    camera.corners.each { tap_photo(_1) }
    click_on "Hang it here"
    expect(page).to have_css("[aria-label='What a friend says'] li", text: /stands out well/)
    send = find_link("Send the picture")
    expect(send[:href]).to match(%r{/on-place\.jpg\?place=\d+})
    kept = RealStore.store.places.all.first
    expect(kept["name"]).to eq "Our door"
    expect_seen(answer("Door 14", kept["place"]))
    expect(page).to be_axe_clean
    # On a known one: to the door, and the picture.
    open_wreath("Door 7", "hang")
    click_on "On your door"
    expect(page).to have_link("Send the picture", href: /place=#{kept["id"]}/)
    bytes = page.evaluate_async_script(<<~JS, find_link("Send the picture")[:href])
      fetch(arguments[0]).then((r) => r.blob()).then((blob) => arguments[1]([blob.type, blob.size]))
    JS
    expect(bytes).to match ["image/jpeg", be > 20_000]
  end

  it "is moved by hand and by key, seen from behind, and taken larger, smaller or in another colour" do
    id = open_wreath("Door 3", "door")
    select "Our front door", from: "The place"
    place = RealStore.store.places.all.find { _1["name"] == "Our front door" }["place"]
    expect_seen(answer("Door 3", place))
    find("[role=application]").click
    3.times { press(:Down) }
    quiet
    x, y = find_link("Send the picture")[:href].scan(/[xy]=(\d+)/).flatten.map(&:to_i)
    expect(y).to be > answer("Door 3", place)["at"][1]
    expect_seen(answer("Door 3", place, at: [x, y]))
    box = find("[role=application]").evaluate_script("(({left, top}) => [left, top])(this.getBoundingClientRect())")
    page.driver.browser.mouse.move(x: box[0] + 200, y: box[1] + 220).down.move(x: box[0] + 200, y: box[1] + 120).up
    quiet
    x, up = find_link("Send the picture")[:href].scan(/[xy]=(\d+)/).flatten.map(&:to_i)
    expect(up).to be < y - 50
    expect_seen(answer("Door 3", place, at: [x, up]))
    find("label", text: "From behind").click
    expect(page).to have_link("Send the picture", href: /back=yes/)
    expect(page).to be_axe_clean
    find("label", text: "From outside").click
    # The door is 36 in wide: 18 in is half of it.
    before = find("[aria-label='The tape'] li", match: :first).text
    find("button", text: /Take it:\s+1\d in/).click
    expect(page).to have_no_css("[aria-label='The tape'] li", text: before)
    page.document.synchronize do
      outside = RealStore.store.wreaths.find(id)["plan"]["form"]["outside"]
      raise Capybara::ElementNotFound, outside.to_s unless outside.between?(15, 18)
    end
  end

  it "says what is wrong, mends it with one button, and keeps what is said of the door" do
    id = open_wreath("Door 4", "door")
    select "Pump room, glass", from: "The place"
    expect(page).to have_css("[aria-label='What a friend says'] li", text: /too much for it/)
    expect(page).to have_css("[aria-label='What a friend says'] li", text: /nothing covers it/)
    click_on "Make it 9 in"
    expect(page).to have_no_css("[aria-label='What a friend says'] li", text: /too much for it/)
    find("summary", text: "About this place").click
    fill_in "Room before a storm door", with: "1/4"
    expect(page).to have_css("[aria-label='What a friend says'] li", text: /pressed flat/)
    fill_in "The door is wide", with: "no length"
    expect(page).to have_css("[role=alert]", text: /must be a length/)
    fill_in "The door is wide", with: "40"
    expect(page).to have_css("[aria-label='The tape']", text: "on a door of 40 in")
    page.document.synchronize do
      place = RealStore.store.places.all.find { _1["name"] == "Pump room, glass" }["place"]
      raise Capybara::ElementNotFound, place.to_s unless place.values_at("wide", "gap") == [40, "1/4"]
    end
    expect(RealStore.store.wreaths.find(id)["plan"]["form"]["outside"]).to eq 9
    keep_window(390, 844) do
      expect(page).to be_axe_clean
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
      click_on "Another place"
      expect(page).to have_css("h2", text: "On your door")
      expect(page).to be_axe_clean
    end
    fill_in "The door is wide", with: "30"
    click_on "Hang it on that"
    expect(page).to have_css("[aria-label='The tape']", text: "on a door of 30 in")
    added = find("option", text: /\ADoor \d/, visible: :all).text(:all)
    click_on "Let go of this place…"
    click_on "Let it go"
    expect(page).to have_no_select("The place", with_options: [added])
  end

  it "shows all doors of an occasion in a row, and a wreath is dragged from one to another" do
    visit "/occasions/#{RealStore.store.occasions.all[0]["id"]}?part=doors"
    door = ->(name) { find("section[aria-label=Doors] li p a", text: name).ancestor("li") }
    called = ->(name) { door.call(name).find("p span").text }
    expect(page).to have_css("section[aria-label=Doors] li", count: 24)
    before = %w[kite wrap].map { called.call(_1) }
    expect(before).to eq ["Indigo door, lower end, 30 in wide", "Moss door, tannery yard, 36 in wide"]
    door.call("kite").find("div[draggable]").drag_to(door.call("wrap").find("div[draggable]"))
    expect(door.call("kite")).to have_css("p span", text: before[1])
    expect(called.call("wrap")).to eq before[0]
    select "Door 3, marigold wrap", from: "Door 5, kite changes doors with"
    expect(door.call("kite")).to have_css("p span", text: before[0])
    expect(page).to be_axe_clean
    expect(page).to have_link("On one sheet", href: /doors\.pdf/)
    # Where a wreath was hung, it hangs when it is looked at again.
    id = RealStore.store.wreaths.all.find { _1["name"].include?("kite") }["id"]
    visit "/wreaths/#{id}/door"
    expect(page).to have_select("The place", selected: "Indigo door, lower end")
    find("[role=application]").click
    press(:Down)
    moved = find_link("Send the picture")[:href][/y=\d+/]
    page.document.synchronize do
      kept = RealStore.store.places.of(id)["at"]
      raise Capybara::ElementNotFound, kept.to_s unless kept && "y=#{kept[1].to_i}" == moved
    end
    page.refresh
    expect(page).to have_link("Send the picture", href: /#{moved}/)
  end

  it "says of a wreath that cannot be drawn that it cannot, in its place in the row" do
    occasion = RealStore.store.occasions.all[0]["id"]
    wreath = RealStore.store.wreaths.all.find { _1["name"].include?("kite") }
    form = wreath["plan"]["form"].merge("face" => 90)
    RealStore.store.wreaths.change(wreath["id"], wreath["version"], wreath["plan"].merge("form" => form))
    visit "/occasions/#{occasion}?part=doors"
    row = find("section[aria-label=Doors] li p a", text: "kite").ancestor("li")
    page.scroll_to(row)
    expect(row).to have_text("Cannot be drawn yet")
    expect(page).to have_css("section[aria-label=Doors] img[src*='door.jpg']")
  end

  # A door that was made smaller since: where the wreath hung is beside it now.
  it "finds its way back from a place that is no longer on the door" do
    id = RealStore.store.wreaths.all.find { _1["name"].include?("kite") }["id"]
    place = RealStore.store.places.all.find { _1["name"] == "Indigo door, lower end" }["id"]
    RealStore.store.places.hang(id, place, [5000, 9000])
    visit "/wreaths/#{id}/door"
    expect(page).to have_css("[role=alert]", text: "That is not on the picture")
    click_on "Hang it where wreaths usually hang"
    expect(page).to have_css("[aria-label='What a friend says'] li")
    page.document.synchronize do
      kept = RealStore.store.places.of(id)
      raise Capybara::ElementNotFound, kept.to_s unless kept == {"place" => place, "at" => nil}
    end
  end
end
