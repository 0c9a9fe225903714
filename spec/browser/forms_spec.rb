# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"

RSpec.describe "Forms on the screen", :browser, :store do
  before { load_demo }

  it "draws every shape with the covering on it, from sizes that can be" do
    open_wreath("rope ring", "form")
    Lantern::Form.shapes.each_value do |shape|
      choose shape.title, allow_label_click: true
      expect(page).to have_css("h2", text: shape.title)
      expect(page).to have_no_css("[role=alert]")
      expect(page).to have_no_text("show the last plan that could be worked")
      expect(page).to have_css("g[data-lie=coils]", visible: :all) { drawn(_1) >= 40 }
    end
  end

  it "writes the sizes on dimension lines, across and upright" do
    open_wreath("oval", "form")
    expect(page).to have_css("svg text", text: "13 in")
    expect(page).to have_css("svg text", text: "18 in")
    fill_in "Height, over all", with: "20 1/2"
    expect(page).to have_css("svg text", text: "20¹⁄₂ in")
  end

  it "takes a size typed on its dimension line, and says there what cannot be" do
    open_wreath("oval", "form")
    find("svg [role=button][aria-label^='Width, over all']").click
    on_line = find("input[aria-label='Width, over all, on the drawing']")
    on_line.set("14 1/2")
    expect(page).to have_css("svg text", text: "14\u00b9\u2044\u2082 in").or have_css("svg text", text: /14.*2 in/)
    on_line.set("nothing")
    expect(page).to have_css("[role=alert]", text: /Width, over all must be a length/, count: 2)
    on_line.set("15").send_keys(:enter)
    expect(page).to have_field("Width, over all", with: "15 in")
    expect(page).to have_no_css("input[aria-label='Width, over all, on the drawing']")
    saved
  end

  it "opens a size on the drawing by key, and closes it by key" do
    open_wreath("rope ring", "form")
    find("svg [role=button][aria-label^='Opening']")
    page.execute_script("document.querySelector('svg [role=button][aria-label^=Opening]').focus()")
    page.driver.browser.keyboard.type(:enter)
    expect(page).to have_css("input[aria-label='Opening, across, on the drawing']:focus")
    page.driver.browser.keyboard.type(:escape)
    expect(page).to have_no_css("input[aria-label='Opening, across, on the drawing']")
  end

  it "shows where the tape goes for the size or the string at hand" do
    open_wreath("rope ring", "form")
    expect(page).to have_no_css(".tape-laid")
    find("summary", text: "Measured with a string").click
    find_field("String along the outside").click
    outside = find(".tape-laid path", match: :first)[:d]
    find_field("String along the inside").click
    expect(page).to have_no_css(".tape-laid path[d='#{outside}']")
    find_field("String round the band").click
    expect(find(".tape-laid path", match: :first)[:d]).to match(/\AM\S+ \S+ L\S+ \S+\z/)
  end

  it "brings in an SVG drawing, lets one of its outlines be picked, and covers it" do
    Tempfile.create(["two leaves", ".svg"]) do |file|
      leaves = ["M50 2C85 25 85 70 50 98C15 70 15 25 50 2Z", "M120 2C185 5 185 30 120 50C115 30 115 25 120 2Z"]
      paths = leaves.map { "<path d='#{_1}'/>" }
      file.write("<svg xmlns='http://www.w3.org/2000/svg'>#{paths.join}</svg>")
      file.close
      open_wreath("rope ring", "form")
      choose "Own outline", allow_label_click: true
      attach_file "Bring in an SVG drawing", file.path
      expect(page).to have_text("2 outlines, the largest taken")
      expect(page).to have_css("g[data-lie=coils]", visible: :all) { drawn(_1) >= 40 }
      tall = find("svg text", text: /\d/, match: :first).text
      click_on "Outline 2"
      expect(page).to have_no_css("svg text", text: tall, exact_text: true).or have_css("summary", text: /corners/)
      saved
      expect(page.evaluate_async_script("fetch(document.querySelector('a[download]').href).then((r) => " \
        "r.text()).then(arguments[0])")).to include 'id="outside"'
    end
  end

  it "says what is wrong with a file that is no drawing" do
    Tempfile.create(["notes", ".svg"]) do |file|
      file.write("<svg onload='x()'/>")
      file.close
      open_wreath("rope ring", "form")
      choose "Own outline", allow_label_click: true
      attach_file "Bring in an SVG drawing", file.path
      expect(page).to have_text("The file carries a script")
    end
  end

  it "joins forms: places a part, turns it, takes another" do
    open_wreath("rope ring", "form")
    choose "Joined forms", allow_label_click: true
    expect(page).to have_text("The parts meet in 2 places")
    fill_in "Cut off its first end", with: "5", match: :first
    expect(page).to have_text("saves 7 in of length")
    click_on "Join another form"
    expect(page).to have_css("summary", text: "Part 3: Ring")
    saved
  end

  it "begins with a typical form, and keeps one's own under a name" do
    open_wreath("rope ring", "form")
    select "Wire heart, 14 in", from: "Begin with"
    expect(page).to have_css("h2", text: "Heart")
    fill_in "Face", with: "2"
    click_on "Keep this form"
    fill_in "Keep it as", with: "Porch heart"
    click_on "Keep", exact: true
    expect(page).to have_text("Kept as “Porch heart”")
    select "Wire ring, 12 in", from: "Begin with"
    expect(page).to have_css("h2", text: "Ring")
    select "Porch heart", from: "Begin with"
    expect(page).to have_field("Face", with: "2 in")
  end

  it "finds nothing to mend for those who cannot see it" do
    open_wreath("rope ring", "form")
    ["Joined forms", "Own outline", "Gourd"].each do |shape|
      choose shape, allow_label_click: true
      expect(page).to have_css("h2", text: shape)
      expect(page).to be_axe_clean
    end
  end

  it "lets a string win over the sizes, and says by how much they differ" do
    open_wreath("rope ring", "form")
    find("summary", text: "Measured with a string").click
    fill_in "String along the middle", with: "36"
    expect(page).to have_text(/The string along the middle says 36 in, the sizes say 34\u20099⁄16 in/)
    expect(page).to have_css("tr", text: /Along the middle\s*36 in/)
    saved
  end

  it "keeps what was typed on another base where it still means something" do
    open_wreath("rope ring", "form")
    choose "Foam", allow_label_click: true
    expect(page).to have_field("Outside, across", with: "14 in")
    expect(page).to have_no_field("Rails")
    expect(page).to have_css("footer button", text: /80\s*coils/)
  end

  it "counts by touch on a phone: a stage, a choice and the sum" do
    keep_window(390, 844) do
      open_wreath("marigold")
      find("nav[aria-label=Stages] a", text: "Form").click
      expect(page).to have_css("h2", text: "Ring")
      find("nav[aria-label=Stages] a", text: "Cover").click
      find("label", text: "Short strips").click
      expect(page).to have_css("footer button", text: /strips of/)
      find("footer button", text: "turns").click
      expect(page).to have_css("dialog[open] tr", minimum: 4)
    end
  end

  it "points at what is bare for as long as the drawing is of the plan before" do
    bare = plan(form: {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2},
      materials: [rope], layers: [layer("rope_coil", "rope", fan: 0)])
    visit "/wreaths/#{RealStore.store.wreaths.add(bare)["id"]}/form"
    expect(page).to have_css(".gap-mark", minimum: 1)
    quiet
    marks = all(".gap-mark").size
    away do
      fill_in "Width, over all", with: "15"
      expect(page).to have_css("[role=status]", text: "Not saved yet")
      expect(page).to have_css(".gap-mark", count: marks)
    end
    expect(page).to have_css("svg text", text: "15 in")
    expect(page).to have_css(".gap-mark", minimum: 1)
  end
end
