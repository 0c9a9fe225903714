# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"

RSpec.describe "The bench on the screen", :browser, :store do
  before { load_demo }

  def at_the_bench(name)
    id = RealStore.store.wreaths.all.find { _1["name"].include?(name) }["id"]
    visit "/wreaths/#{id}/bench"
    expect(page).to have_css("h2", text: "Prepare the form")
    id
  end

  def shown = find("[data-count]").text.to_i

  def arrived = expect(page).to(have_css("[data-kept]", text: "Saved"))

  it "shows how the hands go with this wreath's own measures, move by move, and stops where it is touched" do
    at_the_bench("Door 14, undyed rope")
    click_on "Make the bow"
    within("figure", text: "Pinch, loop, half a twist") do
      expect(page).to have_text("Measure 7 in, good side up.")
      click_on "3. A loop of 4 in to the right. Pinch, half a twist."
      expect(page).to have_css("button[aria-current]", count: 1)
      expect(find("button[aria-current]")["aria-label"]).to start_with "3."
      expect(page).to have_css("p", text: "3 A loop of 4 in to the right.")
      expect(page).to have_css("text", text: "4 in")
      expect(page).to have_css("path[fill='#a8472a']")
    end
    expect(find("h2").text).to eq "Make the bow"
    expect(page).to be_axe_clean
    visit "/wreaths/#{RealStore.store.wreaths.all.find { _1["name"].include?("Door 17") }["id"]}/bench"
    click_on "Make the streamer bundle"
    within("figure", text: "Laid crosswise") do
      click_on "Move 2 of 2"
      expect(page).to have_text("Fold the end in half lengthwise, good side out.")
    end
  end

  it "plays how the hands go, and stands still for whoever wants nothing to move" do
    id = at_the_bench("Door 14, undyed rope")
    expect(page).to have_css("figure [data-playing=true]")
    page.driver.browser.page.command("Emulation.setEmulatedMedia",
      features: [{name: "prefers-reduced-motion", value: "reduce"}])
    visit "/wreaths/#{id}/bench"
    expect(page).to have_css("figure [data-playing=false]")
    find("figure li:last-child button").click
    expect(page).to have_css("figure li:last-child [aria-current=step]")
  ensure
    page.driver.browser.page.command("Emulation.setEmulatedMedia", features: [])
  end

  it "takes an empty plan to a page of the notebook, by keyboard alone" do
    visit "/"
    expect(page).to have_css("h2 a", text: "Door 7, rope ring")
    choose_with_keys("New wreath")
    expect(page).to have_css("h2", text: "Which form?")
    choose_with_keys("Ring")
    expect(page).to have_field("Outside, across")
    choose_with_keys("Next: what have you got?")
    expect(page).to have_button("Take this: Spiral wrap")
    choose_with_keys("Take this: Spiral wrap")
    expect(page).to have_css("footer li")
    choose_with_keys("Take this layer off")
    expect(page).to have_css("h2", text: "Nothing on it yet")
    choose_with_keys("Rope coil")
    expect(page).to have_css("h2", text: "Rope coil")
    choose_with_keys(/\AHang/)
    choose_with_keys("Add: hanger")
    expect(page).to have_css("h2", text: "Hanger")
    choose_with_keys(/\ATrim/)
    choose_with_keys("Add: bow")
    expect(page).to have_css("h2", text: "Bow")
    tab_to("Bow: at, by the clock")
    press(:right, :right)
    expect(page).to have_css("[role=slider][aria-valuenow='7']")
    saved
    choose_with_keys(/\ACut/)
    choose_with_keys("I cut it")
    expect(page).to have_text("Cut: its material is out of the stash")
    choose_with_keys(/\ABench/)
    expect(page).to have_css("h2", text: "Prepare the form")
    press(:enter)
    expect(page).to have_css("h2", text: "Cut the pieces")
    press(:right)
    expect(page).to have_css("h2", text: "Fit the hanger")
    press(:enter)
    expect(page).to have_css("h2", text: "Coil the cord")
    total = find("[role=status]")["aria-label"][/of (\d+)/, 1].to_i
    total.times { press(:space) }
    expect(page).to have_css("[data-count]", text: /\A#{total}\z/)
    # One too many is counted too, and does not turn the page.
    press(:space)
    expect(page).to have_text("1 more than planned")
    press("-", "-")
    expect(page).to have_css("[data-count]", text: /\A#{total - 1}\z/)
    press(:space)
    until page.has_css?("button", text: "Finish", exact_text: true, wait: 0)
      before = find("h2").text
      press(:right)
      expect(page).to have_no_css("h2", text: before, exact_text: true)
    end
    press(:right)
    expect(page).to have_css("h2", text: "What did it take?")
    expect(page).to have_field("Indigo cord", with: /ft/)
    tab_to("A note for next time")
    press("Count twice.")
    choose_with_keys("Into the notebook")
    expect(page).to have_css("h3 a", text: "New wreath")
    expect(page).to have_text("Count twice.")
    expect(page).to be_axe_clean
  end

  it "goes the same way by touch on a phone, its targets large enough for sticky hands" do
    keep_window(390, 844) do
      id = at_the_bench("undyed rope")
      expect(page).to be_axe_clean
      small = page.evaluate_script("[...document.querySelectorAll('button, a')].filter((e) => " \
        "e.getBoundingClientRect().height < 44).map((e) => e.textContent)")
      expect(small).to eq []
      until page.has_css?("h2", text: "Coil the cord", wait: 0)
        before = find("h2").text
        click_on "Next step", match: :first
        expect(page).to have_no_css("h2", text: before, exact_text: true)
      end
      # A tap anywhere counts.
      find("section[aria-label='As far as it is made'] svg", match: :first).click
      find("section[aria-label='The step'] p", match: :first).click
      click_on "One more"
      expect(page).to have_css("[data-count]", text: /\A3\z/)
      click_on "Take back"
      expect(page).to have_css("[data-count]", text: /\A2\z/)
      arrived
      page.refresh
      expect(page).to have_css("h2", text: "Coil the cord")
      expect(shown).to eq 2
      find("nav[aria-label=Steps] button", text: "Look from a distance").click
      click_on "Finish"
      expect(page).to have_css("h2", text: "What did it take?")
      expect(page).to be_axe_clean
      fill_in "Undyed rope", with: "many"
      click_on "Into the notebook"
      expect(page).to have_css("[role=alert]", text: /“many” is none/)
      fill_in "Undyed rope", with: "60 ft"
      photo = Tempfile.new(["photo", ".png"]).tap { page.driver.save_screenshot(_1.path) }
      attach_file "A photo", photo.path
      expect(page).to have_css("img[alt='The finished wreath']")
      click_on "Into the notebook"
      expect(page).to have_css("img[alt='Door 14, undyed rope and bow, finished']")
      expect(RealStore.store.bench.finished(id)).to eq 1
      expect(page).to be_axe_clean
    end
  end

  it "says where it stands in the rounds of a pattern" do
    at_the_bench("ribbon laid in")
    find("nav[aria-label=Steps] button", text: "Coil the cord, the ribbon laid in").click
    expect(page).to have_text("next: over 1 of 4, repeat 1")
    5.times { press(:space) }
    expect(page).to have_text("next: under 2 of 2, repeat 1")
    press(:space)
    expect(page).to have_text("next: over 1 of 4, repeat 2")
    press(:backspace)
    expect(page).to have_text("next: under 2 of 2, repeat 1")
  end

  it "counts on when the network is gone, and sends it all when it is back" do
    id = at_the_bench("rope ring")
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    2.times { press(:space) }
    expect(page).to have_css("[data-count]", text: /\A2\z/)
    arrived
    page.driver.browser.network.offline_mode
    3.times { press(:space) }
    expect(page).to have_css("[data-count]", text: /\A5\z/)
    expect(page).to have_css("[data-kept]", text: "Kept on this device: the server is away")
    expect(RealStore.store.bench.state(id)["counts"]["base.coil"]).to eq 2
    page.driver.browser.network.emulate_network_conditions(offline: false)
    arrived
    expect(RealStore.store.bench.state(id)["counts"]["base.coil"]).to eq 5
  end

  it "agrees with another device on the same wreath" do
    id = at_the_bench("rope ring")
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    press(:space)
    arrived
    RealStore.store.bench.take(id,
      [{"event" => "another-device", "step" => "base.coil", "kind" => "count", "amount" => 4}])
    expect(page).to have_css("[data-count]", text: /\A5\z/)
    press(:space)
    expect(page).to have_css("[data-count]", text: /\A6\z/)
    arrived
    expect(RealStore.store.bench.state(id)["counts"]["base.coil"]).to eq 6
  end

  it "counts by the pedals of a page-turner, and takes back by them" do
    at_the_bench("undyed rope")
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    expect(page).to have_css("h2", text: "Coil the cord")
    press(:pagedown, :down, :pagedown)
    expect(page).to have_css("[data-count]", text: /\A3\z/)
    press(:pageup)
    expect(page).to have_css("[data-count]", text: /\A2\z/)
    arrived
  end

  it "writes a step of its own where the need for it is seen, changes it and takes it out" do
    id = at_the_bench("undyed rope")
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    expect(page).to have_css("h2", text: "Coil the cord")
    click_on "Add a step of your own behind this"
    within("dialog") do
      fill_in "What", with: "Singe the fuzz"
      fill_in "Minutes", with: "7"
      expect(page).to be_axe_clean
      click_on "Add it"
    end
    expect(page).to have_css("nav[aria-label=Steps] button", text: /Singe the fuzz\n7 min/)
    own = -> { RealStore.store.wreaths.find(id)["plan"]["steps"] }
    coil = RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["method"] == "rope_coil" }["id"]
    expect(own.call).to eq [{"after" => coil, "title" => "Singe the fuzz", "minutes" => 7}]
    find("nav[aria-label=Steps] button", text: "Singe the fuzz").click
    click_on "Change this step"
    within("dialog") do
      fill_in "Minutes", with: "9"
      click_on "Save"
    end
    expect(page).to have_css("nav[aria-label=Steps] button", text: /Singe the fuzz\n9 min/)
    click_on "Change this step"
    within("dialog") { click_on "Take it out" }
    expect(page).to have_no_css("nav[aria-label=Steps] button", text: "Singe the fuzz")
    expect(own.call).to eq []
  end

  it "shows all steps in their order and why, and moves the maker's own among them" do
    id = open_wreath("undyed rope", "hang")
    click_on "Add a step"
    fill_in "What", with: "Singe the fuzz"
    select "Cutting the pieces", from: "After"
    find("summary", text: /All \d+ steps in their order/).click
    lines = -> { all("ol[aria-label='Steps in their order'] > li").map { _1.text.lines.first.chomp } }
    expect(page).to have_css("ol[aria-label='Steps in their order'] > li", text: "3. Singe the fuzz")
    grip = find_button("Move Singe the fuzz")
    grip.send_keys(:space)
    expect(page).to have_css("[aria-live]", text: /Singe the fuzz is taken up: 3 of/, visible: :all)
    2.times do |i|
      grip.send_keys(:down)
      expect(page).to have_css("[aria-live]", text: /comes to #{4 + i} of/, visible: :all)
    end
    grip.send_keys(:space)
    expect(page).to have_css("ol[aria-label='Steps in their order'] > li", text: "5. Singe the fuzz")
    expect(lines.call[3]).to match(/Coil the cord/)
    saved
    coil = RealStore.store.wreaths.find(id)["plan"]["layers"].find { _1["method"] == "rope_coil" }["id"]
    expect(RealStore.store.wreaths.find(id)["plan"]["steps"]).to eq [{"after" => coil, "title" => "Singe the fuzz"}]
    check "Say why each comes where it does"
    expect(page).to have_css("li", text: /Coil the cord.*After “Fit the hanger”: what hides beneath it comes first/m)
    expect(page).to be_axe_clean
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    find("summary", text: "Why now").click
    expect(page).to have_text("After “Fit the hanger”: what hides beneath it comes first.")
    expect(page).to have_css("[data-count]", text: /\A0\z/)
  end

  it "says that it dries, and goes to what can be made up meanwhile" do
    id = open_wreath("undyed rope")
    paint = {"id" => "paint", "kind" => "coat", "name" => "White paint",
             "offers" => [{"count" => 1, "price" => "4.00"}]}
    RealStore.store.wreaths.find(id).then do |wreath|
      plan = wreath["plan"]
      RealStore.store.wreaths.change(id, wreath["version"], plan.merge(
        "materials" => [*plan["materials"], paint],
        "layers" => [{"id" => "coat", "method" => "coat", "material" => "paint"}, *plan["layers"]]
      ))
    end
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Paint the form with White paint").click
    expect(page).to have_text("Then it dries: about 1 h, as the label says. Meanwhile:")
    expect(page).to be_axe_clean
    find("section[aria-label='The step'] button", text: "Make the bow").click
    expect(page).to have_css("h2", text: "Make the bow")
  end
end
