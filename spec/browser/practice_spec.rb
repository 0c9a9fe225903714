# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Practising on one's own material", :browser, :store do
  before { load_demo }

  def wreath(name) = RealStore.store.wreaths.all.find { _1["name"].include?(name) }

  def knots(name) = wreath(name)["plan"]["layers"].find { _1["method"] == "knotted_strips" }

  # From the plan: two measures and five against the clock change the strips of this wreath; and back again.
  it "changes the plan that uses it, can be taken back, and is offered to other wreaths of that material" do
    id = wreath("Door 11")["id"]
    visit "/wreaths/#{id}/cover"
    before = find("footer li", text: "strips to cut").text
    click_on "Practise it on a few first"
    expect(page).to have_css("h2", text: "Practise: Knot the strips")
    expect(page).to have_css("figure li", minimum: 4)
    fill_in "Cut length of the one you tied", with: "12 in"
    expect(page).to have_css("[role=alert]", text: "both")
    fill_in "Its two tails together", with: "4 1/2 in"
    expect(page).to have_css("[aria-label='What it changes'] li", text: /knots take up 2.*1.4.* in, not 1.*3.4.* in/)
    expect(page).to be_axe_clean
    click_on "Time 5 strips"
    5.times { click_on "One strip done" }
    expect(page).to have_text("So fast are no hands: the time is left out.")
    click_on "Take it up in this wreath"
    expect(page).to have_text("Taken up in this wreath.")
    expect(page).to have_no_css("footer li", text: before)
    eventually { knots("Door 11")["test_piece"] == {"cut" => "12 in", "tails" => "4 1/2 in"} }
    material = wreath("Door 11")["plan"]["materials"].find { _1["id"] == knots("Door 11")["material"] }
    eventually {
      RealStore.store.materials.all("in").find { _1["material"]["id"] == material["id"] }.dig("material", "tried")
    }
    click_on "Take it back"
    expect(page).to have_css("footer li", text: before)
    eventually { knots("Door 11")["test_piece"].nil? }
    click_on "Back to the plan"
    expect(page).to have_text(/You practised it with this material on \d{4}-\d\d-\d\d/)
    click_on "See what it changes"
    expect(page).to have_css("[aria-label='What it changes'] li", text: /Your knots take up 2.*1.4.* in/)
    page.driver.resize(390, 844)
    expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
    expect(page).to be_axe_clean
  end
end
