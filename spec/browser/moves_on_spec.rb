# frozen_string_literal: true

require_relative "../support/browser"

# From the shop to the bench, by doing; and chosen by eye.
RSpec.describe "A wreath on its way", :browser, :store do
  before { load_demo }

  def ask_work(id) = Lantern.work(RealStore.store.wreaths.find(id)["plan"])

  def row(name) = find("li", text: name, match: :first)

  it "is bought, taken back, bought, cut and made, each from its button in the list" do
    visit "/"
    expect(all("h2", minimum: 2).first.text).to eq RealStore.store.wreaths.all.last["name"]
    name = "Door 22, indigo pair"
    row(name).click_on "Buy for it: #{name}"
    expect(page).to have_css("[aria-label=Buy] h2", text: /to pay/)
    hand = -> { RealStore.store.materials.all("in").sum { Array(_1["material"]["on_hand"]).size } }
    before = hand.call
    click_on "I bought it"
    expect(page).to have_css("[role=status]", text: "Bought: all of it is in the stash.")
    expect(page).to have_css("[aria-label=Buy] h2", text: "Nothing to buy")
    expect(hand.call).to be > before
    expect(page).to be_axe_clean
    click_on "Take it back"
    expect(page).to have_button("I bought it")
    expect(hand.call).to eq before
    click_on "I bought it"
    click_on "Cut it"
    click_on "I cut it"
    expect(page).to have_text("Cut: its material is out of the stash")
    visit "/"
    row(name).click_on "Make it: #{name}"
    expect(page).to have_css("h2", text: "Prepare the form")
    click_on "Next step"
    visit "/"
    expect(row(name)).to have_css("a", text: /\AGo on at/)
    id = RealStore.store.wreaths.all.find { _1["name"] == name }["id"]
    step = ask_work(id)["steps"].find { _1["count"] }
    RealStore.store.bench.take(id, [{"event" => "a", "step" => step["id"], "kind" => "go"},
      {"event" => "b", "step" => step["id"], "kind" => "count", "amount" => 3}])
    visit "/"
    expect(row(name)).to have_link("Go on at #{step["unit_one"]} 4: #{name}")
    select "By state", from: "Groups"
    expect(page).to have_css("p", text: "Being made")
    expect(page).to be_axe_clean
  end

  # A shop that asks more than the stash knew, and has only some of it.
  it "is ticked off in the shop, at the prices that are asked there, and only what is ticked is in the stash" do
    id = RealStore.store.wreaths.all.find { _1["name"].include?("woven clover") }["id"]
    visit "/wreaths/#{id}/buy"
    boxes = all("input[aria-label^='In the basket']", minimum: 2).map { _1["aria-label"].split(": ", 2).last }
    name = boxes.first
    to_pay = -> { find("[aria-label=Buy] h2").text[/[\d.]+/].to_f }
    before = to_pay.call
    price = find_field("Price of one package of #{name}", match: :first)
    expect(price["inputmode"]).to eq "decimal"
    was = price.value.to_f
    price.fill_in with: "much"
    price.send_keys :enter
    expect(page).to have_css("[role=alert]", text: /price/i)
    price.fill_in with: (was + 1).to_s
    price.send_keys :enter
    expect(page).to have_no_css("[role=alert]")
    expect(page).to have_css("[aria-label=Buy] h2", text: /to pay/)
    page.document.synchronize { raise Capybara::ElementNotFound unless to_pay.call > before }
    offers = -> { RealStore.store.materials.all("in").find { _1["material"]["name"] == name }["material"]["offers"] }
    expect(offers.call.map { _1["price"].to_f }).to include was + 1
    expect(find("[aria-label=Buy]")).to have_text(/Another \w+ will do if it is/)
    check "In the basket: #{name}"
    click_on "I bought what is ticked"
    expect(page).to have_no_field("In the basket: #{name}")
    expect(page).to have_field("In the basket: #{boxes.last}", checked: false)
    expect(page).to have_button("I bought it")
  end

  it "is asked for once when it is finished uncut, and says that nothing was counted" do
    id = RealStore.store.wreaths.all.find { _1["name"].include?("marigold wrap") }["id"]
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Look from a distance").click
    click_on "Finish"
    expect(page).to have_text("Nothing was counted: this is what was planned.")
    expect(page).to have_text("Nothing was taken out of the stash for it.")
    expect(page).to be_axe_clean
    click_on "Take it out"
    expect(page).to have_css("[role=status]", text: "Its material is out of the stash")
    expect(RealStore.store.wreaths.find(id)["cut"]).to be true
    click_on "Into the notebook"
    expect(page).to have_css("h3 a", text: "Door 3, marigold wrap")
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Look from a distance").click
    click_on "Finish"
    expect(page).to have_no_text("Nothing was taken out of the stash for it.")
  end

  # An 8 in ring is a third of one of 24 in.
  it "is begun from forms drawn as what they are and at one scale, and from what covers first" do
    visit "/new"
    wide = ->(name) {
      find("button", text: name, exact_text: true).find("svg", visible: :all)
        .evaluate_script("this.querySelector('g').getBBox().width / this.viewBox.baseVal.width")
    }
    expect(wide.call("Wire ring, 8 in") / wide.call("Wire ring, 24 in")).to be_within(0.005).of(8 / 24.0)
    paints = ->(name) { find("button", text: name).all("path", visible: :all).map { _1["stroke"] }.uniq }
    expect(paints.call("Vine ring, 18 in")).to include "var(--vine)"
    expect(paints.call("Board ring, 14 in")).to include "var(--board)"
    expect(page).to be_axe_clean
    find("button", text: "Wire ring, 14 in").click
    click_on "Next: what have you got?"
    expect(page).to have_css("h3", text: "These leave the form to be seen")
    titles = all("section[aria-label='Coverings on your form'] h3").map(&:text)
    apart = titles.index("These leave the form to be seen")
    expect(titles.first(apart)).to include("Rope coil", "Spiral wrap", "Panel")
    expect(titles.drop(apart)).to include("Garland", "Cord along the seam")
  end
end
