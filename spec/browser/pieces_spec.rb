# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../support/keys"

RSpec.describe "A piece, on the screen", :browser, :store do
  before { load_demo }

  # So many things a person does, counted as they are done.
  def act(&) = (@actions = @actions.to_i + 1).then(&)

  def part(number) = all("fieldset", text: "Its parts", match: :first, minimum: 1)[0].all("div.border-b")[number - 1]

  it "is a bow by one press, and shows of each part the measures it has" do
    open_wreath("undyed rope and bow", "trim")
    act { click_on "Add: bow, bundle, swag or other piece" }
    expect(page).to have_css("h2", text: "Bow, bundle, swag or other piece")
    # It was pressed at the foot of the bow that is there; what is new is read from its top.
    expect(page.evaluate_script("document.querySelector('[aria-label=Stage]').scrollTop")).to be < 10
    expect(page).to have_button("Add a fixing")
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

  it "shows its usual parts when they are wanted, and has each of their measures dragged out on the drawing" do
    open_wreath("undyed rope and bow", "trim")
    kept = -> { RealStore.store.wreaths.all.find { _1["name"].include?("Door 14") }["plan"]["layers"].last }
    click_on "Add: bow, bundle, swag or other piece"
    # Nothing of its parts was said: what is dragged is put beside all that is usual.
    loop = "[role=slider][aria-label='Loop of part 1']"
    press_on(loop, :right, :right)
    eventually { kept.call["parts"]&.dig(0, "loop_size").to_f > 4.25 }
    said = kept.call["parts"]
    expect(said).to match [{"as" => "ribbon", "material" => be_a(String), "count" => 1, "tail" => "6 in", "loops" => 4,
                            "loop_size" => 4.5}]
    quiet
    tail = find("[role=slider][aria-label='Tail of part 1']")
    before = tail["aria-valuenow"].to_f
    x, y = tail.evaluate_script("[this.getBoundingClientRect().x + 4, this.getBoundingClientRect().y + 4]")
    page.driver.browser.mouse.move(x:, y:).down.move(x: x + 20, y: y + 50, steps: 4).up
    eventually { kept.call.dig("parts", 0, "tail").to_f > before }
    expect(kept.call["parts"][0].except("tail")).to eq said[0].except("tail")
    click_on "Take part 1 out"
    select "Rings on one another", from: "How it is made"
    click_on "Begin with that"
    within(part(1)) { expect(page).to have_field("Size", with: "6 in") }
    within(part(2)) { expect(page).to have_field("Size", with: "4 in") }
    expect(page).to have_css("[role=slider][aria-label='Size of part 2']")
    expect(page).to be_axe_clean
  end

  # A ring of 14 in with an opening of 8 is 11 pi = 34.56 in round its middle: six to a row are 5.76 in apart.
  it "has how far it is from one of a row to the next dragged out on the drawing, instead of how many" do
    bows = {"id" => "bows", "method" => "piece", "material" => "sash", "count" => 6,
            "parts" => [{"as" => "ribbon", "tail" => 2, "loops" => 2, "loop_size" => 1.5}]}
    row = {"format" => "crisp-lantern/plan", "version" => 1, "units" => "in", "name" => "Row of bows",
           "form" => {"base" => "wire", "shape" => "ring", "outside" => 14, "inside" => 8, "rails" => 4},
           "materials" => [{"id" => "sash", "kind" => "ribbon", "name" => "Sash", "width" => 1.5}], "layers" => [bows]}
    id = RealStore.store.wreaths.add(row)["id"]
    kept = -> { RealStore.store.wreaths.find(id)["plan"]["layers"][0] }
    visit "/wreaths/#{id}/trim"
    apart = "[role=slider][aria-label='From one to the next']"
    expect(find(apart)["aria-valuenow"].to_f).to be_within(0.01).of(11 * Math::PI / 6)
    press_on(apart, :right)
    eventually { kept.call["spacing"] == 6 }
    expect(kept.call).not_to include "count"
    # Five are what fits 6 in apart. It lies on the second of them; pulled on by half as far again, three fit.
    expect(page).to have_css("#{apart}[aria-valuenow^='6.9']")
    quiet
    first, second = ["at, by the clock", "From one"].map { |words|
      find("[role=slider][aria-label*='#{words}']")
        .evaluate_script("(({x, y, width}) => [x + width / 2, y + width / 2])(this.getBoundingClientRect())")
    }
    x, y = first.zip(second).map { |from, to| from + (to - from) * 1.5 }
    page.driver.browser.mouse.move(x: second[0], y: second[1]).down.move(x:, y:, steps: 4).up
    eventually { kept.call["spacing"].to_f.between?(9.5, 11) }
    expect(page).to have_css("#{apart}[aria-valuenow^='11.5']")
    expect(page).to be_axe_clean
  end

  it "has its parts moved into order by keys, and is tied with something of the stash" do
    id = RealStore.store.wreaths.all.find { _1["name"].include?("Door 17") }["id"]
    piece = -> { RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["method"] == "piece" } }
    visit "/wreaths/#{id}/trim"
    click_on "Add a part"
    within(part(2)) { select "Tube, rolled", from: "Becomes" }
    eventually { piece.call["parts"].map { _1["as"] } == %w[strip tube] }
    grip = find_button("Move part 2")
    grip.send_keys(:space)
    expect(page).to have_css("[aria-live]", text: "part 2 is taken up: 2 of 2.", visible: :all)
    grip.send_keys(:up)
    expect(page).to have_css("[aria-live]", text: "part 2 comes to 1 of 2.", visible: :all)
    grip.send_keys(:space)
    eventually { piece.call["parts"].map { _1["as"] } == %w[tube strip] }
    select "Something of the stash…", from: "What ties it"
    within(".row", text: "What ties it", match: :first) do
      select "Marigold herringbone tape", from: "Of"
      fill_in "How long, of one piece", with: "9 in"
    end
    eventually { piece.call["tie"]&.values_at("material", "length") == ["tape", "9 in"] }
    expect(page).to be_axe_clean
    select "Glue", from: "What ties it"
    eventually { piece.call["tie"] == "glue" }
  end

  # Added one after the other, as a dialog stays open for.
  def added(*names)
    within("dialog") do
      names.each_with_index do |name, i|
        act { fill_in "Name", with: name }
        yield i if block_given?
        act { click_on (name == names.last) ? "Add it" : "Add it, and another" }
        expect(page).to have_text(/Added: .*#{name}/) unless name == names.last
      end
    end
    expect(page).to have_no_css("dialog")
  end

  # From the covering to where the first of its materials is added.
  def to_materials_of(making)
    id = open_wreath("rope ring", "cover")
    act { find("nav[aria-label=Stages] a", text: /\ATrim/).click }
    act { click_on "Add: bow, bundle, swag or other piece" }
    act { select making, from: "How it is made" }
    act { select "Add a material…", from: "Material" }
    id
  end

  def layers(id) = RealStore.store.wreaths.find(id)["plan"]["layers"].select { _1["method"] == "piece" }

  it "is a bow of three ribbons that are in no stash yet, in fourteen actions" do
    id = to_materials_of("Layered loops")
    added("Wide satin", "Gold net", "Thin tape") { |i| act { fill_in "Width", with: ["2 1/2", "1 1/2", "5/8"][i] } }
    # Rings of 5, 4 and 3 in, the widest undermost: 2 x 5 + 1, 2 x 4 + 1 and 2 x 3 + 1.
    table = find("[aria-label=Trim] table", text: "Ring, pressed flat")
    expect(table).to have_text(/Wide satin\s+2 × 5 \+ 1\s+11 in.*Gold net\s+2 × 4 \+ 1\s+9 in.*Thin tape.*7 in/m)
    expect(@actions).to be <= 14
    saved
    bow = layers(id).last
    expect([bow["material"], *bow["materials"]].size).to eq 3
  end

  it "is a swag of leaves and blooms that are in no stash yet, in eight actions" do
    id = to_materials_of("Swag, stems overlapped")
    added("Eucalyptus stem", "Cloth bloom")
    table = find("[aria-label=Trim] table", text: "Eucalyptus stem")
    expect(table).to have_text(/Eucalyptus stem.*2 of one piece.*Cloth bloom.*2 of one piece/m)
    expect(@actions).to be <= 8
    saved
    kinds = RealStore.store.wreaths.find(id)["plan"]["materials"].to_h { _1.values_at("name", "kind") }
    expect(kinds.values_at("Eucalyptus stem", "Cloth bloom")).to eq %w[piece piece]
  end
end
