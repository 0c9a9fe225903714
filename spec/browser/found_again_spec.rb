# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "What is looked for", :browser, :store do
  before { load_demo }

  it "is found among wreaths by what they are made of, by what is written on them and by a maker's own steps" do
    plan = RealStore.store.wreaths.find(RealStore.store.wreaths.all.first["id"])["plan"]
    step = {"id" => "own", "after" => "layers.#{plan["layers"][0]["id"]}", "says" => "Sprinkle glitter over the knots."}
    kept = RealStore.store.wreaths.add(plan.merge("name" => "A quiet one", "steps" => [step]))
    visit "/"
    fill_in "Look for a wreath", with: "glitter knots"
    expect(page).to have_css("li h2", count: 1, text: "A quiet one")
    fill_in "Look for a wreath", with: kept["plan"]["materials"][0]["name"]
    expect(page).to have_css("li h2", text: "A quiet one")
    fill_in "Look for a wreath", with: "a wreath of nothing"
    expect(page).to have_text("No wreath is called so.")
  end

  it "is found among materials and makes" do
    visit "/stash"
    all = all("main h3", minimum: 10).size
    fill_in "Look for a material", with: "herringbone"
    expect(page).to have_css("main h3", text: "Marigold herringbone tape")
    expect(all("main h3").size).to be < all
    fill_in "Look for a material", with: "nothing of the kind"
    expect(page).to have_text("No material is called so.")
    visit "/notebook"
    entries = all("[aria-label='What was made'] h3", minimum: 3).map(&:text)
    fill_in "Look for what was made", with: entries.last
    expect(page).to have_css("[aria-label='What was made'] h3", text: entries.last)
    fill_in "Look for what was made", with: "never made"
    expect(page).to have_text("Nothing that was made is called so.")
    expect(page).to be_axe_clean
  end
end
