# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "A piece, on the screen", :browser, :store do
  before { load_demo }

  # So many things a person does, counted as they are done.
  def act(&) = (@actions = @actions.to_i + 1).then(&)

  def part(number) = all("fieldset", text: "Its parts", match: :first, minimum: 1)[0].all("div.border-b")[number - 1]

  it "is a bow by one press, and shows of each part the measures it has" do
    open_wreath("undyed rope and bow", "trim")
    act { click_on "Add: bow, bundle, swag or other piece" }
    expect(page).to have_css("h2", text: "Bow, bundle, swag or other piece")
    expect(page).to be_axe_clean
    act { click_on "Add a part" }
    within(part(1)) do
      expect(page).to have_field("Loops, both sides together")
      act { select "Ring, pressed flat", from: "Becomes" }
      expect(page).to have_no_field("Loops, both sides together")
      act { fill_in("Size", with: "5").send_keys(:tab) }
    end
    # 2 x 5 + 1.
    expect(page).to have_css("table", text: /Ring, pressed flat.*2 × 5 \+ 1.*11 in/m)
    saved
    act { select "Rings on one another", from: "How it is made" }
    act { fill_in("What you call it", with: "porch bow").send_keys(:tab) }
    saved
    visit current_path.sub("trim", "bench")
    find("nav[aria-label=Steps] button", text: "Make the porch bow").click
    expect(page).to have_text("a ring 5 in long laid flat: 11 in")
    expect(@actions).to be <= 8
  end
end
