# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Coverings on the screen", :browser, :store do
  before { load_demo }

  it "shows every covering on this form, sorts them, and makes one the plan at a click" do
    open_wreath("rope ring", "cover")
    click_on "See all on this form"
    expect(page).to have_css("h2", text: "Coverings on your form")
    titles = coverings.map(&:title) - ["Strips along the ribs", "Stem and tendrils"]
    expect(page).to have_css("li h3", count: titles.size)
    expect(all("li h3").map(&:text)).to match_array titles
    expect(page).to have_css("dt", text: "Strips along the ribs:")
    select "By name", from: "In order"
    expect(page).to have_css("li:first-child h3", text: titles.min)
    click_on "Take this: Over and under"
    expect(page).to have_css("section[aria-label=Cover] h2", text: "Over and under")
    expect(page).to have_css("footer button", text: /passes/)
    saved
  end

  it "puts two side by side, and takes one of them" do
    open_wreath("marigold", "coverings")
    check "Compare Spiral wrap"
    check "Compare Gathered wrap"
    within("dialog[open]") do
      expect(page).to have_css("th svg", count: 2, visible: :all)
      expect(page).to have_css("tr", text: /Length/)
      expect(page).to be_axe_clean
      click_on "Take gathered wrap"
    end
    expect(page).to have_css("section[aria-label=Cover] h2", text: "Gathered wrap")
  end

  it "draws the controls of every covering from what it declares" do
    open_wreath("rope ring", "cover")
    coverings.each do |covering|
      select covering.title, from: "Covering"
      expect(page).to have_css("section[aria-label=Cover] h2", text: covering.title)
      plain = covering.options.reject { |option|
        [Lantern::Plan::Field::List, Lantern::Plan::Field::Record]
          .any? { option.is_a?(_1) } || option.declare["fine"]
      }
      plain.each { |option| expect(page).to have_css("section[aria-label=Cover] .row", text: option.label) }
    end
  end

  it "takes a recipe part by part" do
    open_wreath("twelve bows", "cover")
    find("label", text: "2. A row of made-up pieces").click
    expect(page).to have_field("Length", with: "18 in")
    click_on "Add a part"
    expect(page).to have_css("[role=alert]", text: "A part that is cut needs a length.")
    find("div[data-place='layers.1.recipe.2.length'] input").set("8 1/2")
    expect(page).to have_css("footer button", text: /36 cuts/)
    saved
  end

  it "points out bare places, and says where there are most" do
    open_wreath("rope ring", "cover")
    check "Look for bare places"
    expect(page).to have_text(/The form shows on \d+ % of the front .* most along the outside/)
    expect(page).to have_css(".bare-places circle", minimum: 20, visible: :all)
    uncheck "Look for bare places"
    expect(page).to have_no_css(".bare-places circle", visible: :all)
  end

  it "works backwards from the stash, and uses the answer" do
    open_wreath("rust stripes", "cover")
    find("summary", text: "Work backwards").click
    within("ul[aria-label='Worked backwards']") do
      expect(page).to have_text("What you have is enough")
      click_on "Use it", match: :first
    end
    expect(page).to have_field("Lap at the wide edge", with: "3/8 in")
    fill_in "May be spent", with: "plenty"
    expect(page).to have_css("[role=alert]", text: "A sum of money is a decimal")
  end

  it "finds nothing to mend for those who cannot see it, all coverings drawn" do
    open_wreath("twelve bows", "coverings")
    expect(page).to have_css("li h3", minimum: 12)
    expect(page).to be_axe_clean
    open_wreath("twelve bows", "cover")
    find("label", text: "2. A row of made-up pieces").click
    expect(page).to have_field("Length", with: "18 in")
    expect(page).to be_axe_clean
  end
end
