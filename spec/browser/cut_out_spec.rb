# frozen_string_literal: true

require "tempfile"
require "vips"
require_relative "../support/browser"
require_relative "../support/keys"

# A thing cut out of its photo, and drawn as that.
RSpec.describe "A photo of a thing", :browser, :store do
  # A red disc with a hole, on grey cloth that grows darker to one side; 600 by 400 pixels.
  let(:photo) {
    svg = <<~SVG
      <svg xmlns="http://www.w3.org/2000/svg" width="600" height="400">
        <defs><linearGradient id="cloth"><stop offset="0" stop-color="#c9cfcc"/><stop offset="1" stop-color="#b4bbb8"/>
        </linearGradient></defs><rect width="600" height="400" fill="url(#cloth)"/>
        <circle cx="300" cy="200" r="110" fill="none" stroke="#b3382a" stroke-width="80"/>
      </svg>
    SVG
    Tempfile.new(["ball", ".png"]).tap { |file| Vips::Image.svgload_buffer(svg).flatten.pngsave(file.path) }
  }

  def choose_photo
    select "Pieces", from: "Kind of material"
    fill_in "Name", with: "Red ring"
    attach_file "A photo of it", photo.path
    expect(page).to have_css("dialog h2", text: "Cut it out of its photo")
  end

  # The photo as it is seen: how much of it is clear, of a hundred.
  def clear
    page.evaluate_script(<<~JS)
      (() => {
        const { width, height } = document.querySelector(".checkered canvas")
        const { data } = document.querySelector(".checkered canvas").getContext("2d").getImageData(0, 0, width, height)
        return Array.from({ length: width * height }, (_, i) => data[i * 4 + 3]).filter((alpha) => alpha < 128).length /
          width / height * 100
      })()
    JS
  end

  def kept = RealStore.store.materials.all.find { _1["material"]["name"] == "Red ring" }&.fetch("material")

  before do
    load_demo
    visit "/stash"
    click_on "Add a material"
    choose_photo
  end

  # A ring of 150 and 70 pixels, and what is about it and within.
  let(:about) { 100 * (1 - Math::PI * 150**2 / (600 * 400)) }
  let(:within_it) { 100 * Math::PI * 70**2 / (600 * 400) }

  it "is cut out by taps, undone and tried with more and with less, and drawn on the wreath" do
    expect(page).to have_button("Take all of the photo")
    frame = find("[role=application]")
    frame.click(x: -180, y: -100)
    expect(page).to have_button("Take it")
    expect(clear).to be_within(2).of(about)
    frame.click(x: 0, y: 0)
    expect(page).to have_button("Undo the last tap")
    expect(clear).to be_within(2).of(about + within_it)
    expect(page).to be_axe_clean
    click_on "Undo the last tap"
    expect(clear).to be_within(2).of(about)
    # Eighty of a hundred: everything is alike.
    tab_to(/\AHow far a tap reaches/)
    press(:end)
    expect(page).to have_text("Nothing is left of it")
    expect(page).to have_button("Take it", disabled: true)
    press(:home, *[:right] * 12)
    expect(page).to have_no_text("Nothing is left of it")
    frame.click(x: 0, y: 0)
    click_on "Take it"
    expect(page).to have_css("img[alt='The photo'].checkered")
    fill_in "Its width", with: "4 in"
    click_on "Save"
    expect(page).to have_css("li", text: "Red ring")
    # As high as it is wide; its outline round.
    expect(kept).to match hash_including("picture_width" => "4 in",
      "cut_out" => {"high" => be_within(10).of(1000), "outline" => have_attributes(size: be > 12)})
    expect(kept["colour"].scan(/\h\h/).map(&:hex)).to match [be_within(12).of(0xb3), be_within(12).of(0x38),
      be_within(12).of(0x2a)]
    add_to_wreath
    expect(page).to have_css("svg image[href='/api/pictures/#{kept["picture"]}']", visible: :all)
    expect(page).to have_css("li", text: "1 Red ring")
  end

  it "is cut out by keys alone, and left as it was by Escape" do
    # From the middle to the left edge, and one tap there; then within.
    tab_to(/\AThe photo: the arrow keys/)
    press(*[:left] * 25, :enter)
    expect(page).to have_button("Take it")
    expect(clear).to be_within(2).of(about)
    press(*[:right] * 25, :space)
    expect(page).to have_text("whatever else is to go")
    expect(clear).to be_within(2).of(about + within_it)
    press(:escape)
    expect(page).to have_no_css("h2", text: "Cut it out of its photo")
    expect(page).to have_field("Name", with: "Red ring")
    expect(page).to have_no_css("img[alt='The photo']")
  end

  def add_to_wreath
    id = RealStore.store.wreaths.all.find { _1["name"].include?("Door 7") }["id"]
    wreath = RealStore.store.wreaths.find(id)
    plan = wreath["plan"]
    ring = {"id" => "ring", "method" => "piece", "making" => "bought", "material" => kept["id"], "at" => 4}
    RealStore.store.wreaths.change(id, wreath["version"],
      plan.merge("materials" => [*plan["materials"], kept], "layers" => [*plan["layers"], ring]))
    visit "/wreaths/#{id}/trim"
  end
end
