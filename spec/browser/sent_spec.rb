# frozen_string_literal: true

require "tempfile"
require "vips"
require_relative "../support/browser"
require_relative "../../server/export/carried"

RSpec.describe "A picture that is its plan", :browser, :store do
  let(:field) { "A picture with its plan in it, or a photo of a pattern card" }

  before { load_demo }

  # Kept as long as the example, since it goes with whoever holds it.
  def file(name, bytes)
    (@files ||= []) << Tempfile.new(name, binmode: true)
    @files.last.write(bytes)
    @files.last.close
    @files.last.path
  end

  it "says what goes along before it is sent, and is a wreath again where it is taken in" do
    id = open_wreath("undyed rope", "cut")
    click_on "Picture…"
    within("dialog") do
      expect(page).to have_text("Not in it: your stash, your notebook, your money.")
      expect(find("a", text: "PNG")["href"]).to end_with "/picture.png?photos=no&plan=yes"
      check "And what its materials cost"
      expect(find("a", text: "PNG")["href"]).to end_with "/picture.png?photos=no&plan=yes&prices=yes"
      uncheck "Its plan goes along"
      expect(find("a", text: "PNG")["href"]).to end_with "/picture.png?photos=no"
      check "Drawn with the photos of its materials"
      expect(page).to have_text("In the file: the picture alone, with the photos of the materials.")
      expect(find("a", text: "SVG")["href"]).to end_with "/picture.svg?photos=yes"
      expect(page).to be_axe_clean
    end
    plan = Lantern::Plan::Shared.outgoing(RealStore.store.wreaths.find(id)["plan"])
    before = RealStore.store.wreaths.all.size
    visit "/"
    attach_file field, file(["no", ".svg"], "<svg/>")
    expect(page).to have_css("[role=alert]", text: "No plan goes along with this picture or link.")
    attach_file field,
      file(["wreath", ".svg"], Server::Export::Carried.into_svg("<svg><defs>", plan))
    expect(page).to have_field("Name of the wreath", with: "Door 14, undyed rope and bow")
    expect(page).to have_css("footer li", minimum: 3)
    expect(RealStore.store.wreaths.all.size).to eq before + 1
  end

  it "asks which of the stash it is made of, where that is unsure" do
    plan = Lantern::Plan::Shared.outgoing(example_plan("door-7-rope-ring"))
    plan["materials"].each { |each| each["name"] += ", theirs" }
    visit "/"
    attach_file field, file(["theirs", ".svg"], Server::Export::Carried.into_svg("<svg><defs>", plan))
    expect(page).to have_css("dialog h2", text: "Which of yours is it?")
    expect(page).to be_axe_clean
    select "Tarred hemp cord", from: "Tarred hemp cord, theirs"
    click_on "Go on"
    expect(page).to have_field("Name of the wreath", with: "Door 7, rope ring")
    newest = RealStore.store.wreaths.all.max_by { _1["id"] }
    expect(newest["plan"]["materials"].map { _1["name"] }).to eq ["Tarred hemp cord"]
  end

  it "opens where it is dropped on the list" do
    plan = Lantern::Plan::Shared.outgoing(example_plan("door-7-rope-ring"))
    visit "/"
    expect(page).to have_css("li h2")
    page.execute_script(<<~JS, Server::Export::Carried.into_svg("<svg><defs>", plan))
      const carried = new DataTransfer()
      carried.items.add(new File([arguments[0]], "wreath.svg", { type: "image/svg+xml" }))
      document.querySelector("main").dispatchEvent(
        new DragEvent("drop", { bubbles: true, cancelable: true, dataTransfer: carried }))
    JS
    expect(page).to have_field("Name of the wreath", with: "Door 7, rope ring")
  end

  # The card as it is printed, photographed: a little turned, a little blurred, on a table.
  it "is read from a photo of the printed card, and from the card's link" do
    plan = example_plan("door-14-undyed-rope")
    address = "http://127.0.0.1:9292"
    card = RealStore.answers.call(:pattern_card, plan, "letter", {}, address)
    pages = Vips::Image.pdfload_buffer(card, n: -1, dpi: 300).flatten(background: 255).colourspace(:srgb)
    high = pages.height / pages.get("n-pages")
    last = pages.crop(0, pages.height - high, pages.width, high)
    photo = last.similarity(angle: 3, background: [120]).gaussblur(0.6)
    visit "/"
    attach_file field, file(["card", ".jpg"], photo.jpegsave_buffer(Q: 85))
    expect(page).to have_field("Name of the wreath", with: "Door 14, undyed rope and bow")
    packed = Server::Export::Carried.packed(Lantern::Plan::Shared.outgoing(example_plan("door-7-rope-ring")))
    visit "/#plan=#{packed}"
    expect(page).to have_field("Or the link of a pattern card", with: /#plan=/)
    expect(page).to be_axe_clean
    click_on "Take it in"
    expect(page).to have_field("Name of the wreath", with: "Door 7, rope ring")
  end

  # As messengers pack a picture anew: smaller, as a JPEG, and with nothing in it but what is seen.
  it "is read from the code in a picture's corner where the picture was packed anew" do
    id = open_wreath("undyed rope", "cut")
    click_on "Picture…"
    check "And as a code in its corner, which stays whoever passes it on (PNG)"
    path = find("a", text: "PNG")["href"]
    expect(path).to end_with "/picture.png?photos=no&plan=yes&code=yes"
    plan = RealStore.store.wreaths.find(id)["plan"]
    sent = RealStore.answers.call(:picture_png, plan, {}, Lantern::Plan::Shared.outgoing(plan), "http://127.0.0.1:9292")
    picture = Vips::Image.new_from_buffer(sent, "")
    anew = picture.resize(1280.0 / [picture.width, picture.height].max).jpegsave_buffer(Q: 72, strip: true)
    visit "/"
    attach_file field, file(["anew", ".jpg"], anew)
    expect(page).to have_field("Name of the wreath", with: "Door 14, undyed rope and bow")
  end
end
