# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Forms on the screen", :browser, :store do
  before { load_demo }

  it "draws every shape with the covering on it, from sizes that can be" do
    open_wreath("rope ring", "form")
    Lantern::Form.shapes.each_value do |shape|
      select shape.title, from: "Shape"
      expect(page).to have_css("h2", text: shape.title)
      expect(page).to have_no_css("[role=alert]")
      expect(page).to have_no_text("show the last plan that could be worked")
      expect(page).to have_css("g[data-lie=coils] rect", minimum: 40, visible: :all)
    end
  end

  it "writes the sizes on dimension lines, across and upright" do
    open_wreath("oval", "form")
    expect(page).to have_css("svg text", text: "13 in")
    expect(page).to have_css("svg text", text: "18 in")
    fill_in "Height, over all", with: "20 1/2"
    expect(page).to have_css("svg text", text: "20¹⁄₂ in")
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
end
