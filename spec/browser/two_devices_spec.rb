# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../support/keys"

# Two real browsers on one wreath, one stash, one bench: nothing typed is dropped, and each shows what is so.
RSpec.describe "Two devices", :browser, :store do
  before { load_demo }

  def kept(id) = RealStore.store.wreaths.find(id)["plan"]

  # As another device would.
  def change(id, said)
    RealStore.store.wreaths.change(id, RealStore.store.wreaths.find(id)["version"], kept(id).merge(said))
  end

  # A wreath whose outside this device has changed to 15 while another one called it Theirs.
  def in_conflict
    id = open_wreath("rope ring", "form")
    away do
      fill_in "Outside, across", with: "15"
      expect(page).to have_css("[role=status]", text: "the server is away")
      change(id, "name" => "Theirs")
    end
    expect(page).to have_css("dialog h2", text: "This wreath was changed somewhere else")
    id
  end

  it "ask whose goes on, showing the fields that differ" do
    id = in_conflict
    expect(page).to have_css("dialog tr", text: /name\s*Door 7, rope ring\s*Theirs/)
    expect(page).to have_css("dialog tr", text: /form: outside\s*15\s*14/)
    expect(page).to be_axe_clean
    click_on "Keep mine"
    saved
    expect(kept(id)).to include("name" => "Door 7, rope ring", "form" => include("outside" => 15))
    fill_in "Outside, across", with: "16"
    saved
    expect(kept(id)["form"]["outside"]).to eq 16
  end

  {"Escape" => -> { press(:escape) }, "Close" => -> { click_on "Close" },
   "a click beside it" => -> { page.driver.browser.mouse.click(x: 4, y: 4) }}.each do |way, leave|
    it "lose nothing when that is left by #{way}: what is typed after it is there, also on the next loading" do
      id = in_conflict
      instance_exec(&leave)
      expect(page).to have_no_css("dialog")
      expect(page).to have_css("[role=alert]", text: "This wreath was changed somewhere else")
      fill_in "Opening, across", with: "7"
      expect(page).to have_css("svg text", text: "7 in")
      # Another screen, and a page that is loaded anew.
      visit "/stash"
      expect(page).to have_css("h3")
      visit "/wreaths/#{id}/form"
      expect(page).to have_css("dialog tr", text: /form: inside\s*7\s*8/)
      press(:escape)
      expect(page).to have_field("Opening, across", with: "7 in")
      expect(kept(id)).to include("name" => "Theirs", "form" => include("outside" => 14, "inside" => 8))
      expect(page).to be_axe_clean
      click_on "Keep mine"
      saved
      expect(kept(id)["form"]).to include("outside" => 15, "inside" => 7)
      expect(page).to have_no_text("changed somewhere else")
    end
  end

  it "take the other's, and the own one back" do
    id = in_conflict
    press(:escape)
    click_on "Take theirs"
    expect(page).to have_field("Name of the wreath", with: "Theirs")
    expect(page).to have_field("Outside, across", with: "14 in")
    page.refresh
    expect(page).to have_field("Name of the wreath", with: "Theirs")
    expect(page).to have_no_text("changed somewhere else")
    expect(kept(id)).to include("name" => "Theirs", "form" => include("outside" => 14))
  end

  it "have what was typed without the server after the browser was closed and opened again" do
    id = open_wreath("rope ring", "form")
    Server::App.set :store, Driving::AWAY
    fill_in "Outside, across", with: "15"
    expect(page).to have_css("[role=status]", text: "the server is away")
    visit "about:blank"
    Server::App.set :store, RealStore.store
    visit "/wreaths/#{id}/form"
    expect(page).to have_field("Outside, across", with: "15 in")
    saved
    expect(kept(id)["form"]["outside"]).to eq 15
  ensure
    Server::App.set :store, RealStore.store
  end

  it "show by themselves what the other changes: a plan, a sale price, wired ticked, a form, a setting" do
    id = open_wreath("marigold wrap", "buy")
    expect(page).to have_css("h3", text: "Marigold herringbone tape")
    row = RealStore.store.materials.all.find { _1["material"]["name"].start_with?("Marigold") }
    on_another_device do
      visit "/stash"
      find("h3", text: row["material"]["name"]).ancestor("li").click_on("Change")
      fill_in "Sale price", match: :first, with: "0.11"
      find("label", text: "Wired").click
      click_on "Save"
      expect(page).to have_no_css("dialog")
    end
    expect(page).to have_css("main", text: "$0.11")
    on_another_device do
      visit "/wreaths/#{id}/form"
      fill_in "Name of the wreath", with: "Marigold, renamed"
      saved
    end
    expect(page).to have_field("Name of the wreath", with: "Marigold, renamed")
    expect(page).to have_css("[role=status]", text: "This wreath was changed on another device")
    expect(page).to be_axe_clean
    click_on "What was changed"
    expect(page).to have_css("tr", text: /name\s*Door 3, marigold wrap\s*Marigold, renamed/)
    click_on "All right"
    expect(page).to have_no_css("[role=status]", text: "another device")
  end

  it "say so when a wreath was changed while this one was elsewhere" do
    id = open_wreath("rope ring", "form")
    visit "/stash"
    expect(page).to have_css("h3")
    change(id, "quantity" => 3)
    visit "/wreaths/#{id}/form"
    expect(page).to have_css("[role=status]", text: "This wreath was changed on another device")
    # That it was seen is kept at leisure.
    page.evaluate_async_script("requestIdleCallback(() => setTimeout(arguments[0], 0))")
    page.refresh
    expect(page).to have_css("footer li")
    expect(page).to have_no_css("[role=status]", text: "another device")
  end

  it "keep a material of the plan's own beside another thing of the stash, and say so" do
    id = open_wreath("rope ring", "cover")
    silk = {"name" => "Silk cord", "colour" => "#aa3355"}
    materials = kept(id)["materials"].map { (_1["id"] == "rope") ? _1.merge(silk) : _1 }
    expect(change(id, "materials" => materials)["kept_apart"]).to eq [{"id" => "rope-2", "name" => "Silk cord"}]
    expect(page).to have_css("footer button", text: "of Silk cord")
  end

  describe "at the bench" do
    # The bench of a wreath at its coils, with nothing counted.
    def at_the_coils(id)
      visit "/wreaths/#{id}/bench"
      find("nav[aria-label=Steps] button", text: "Coil the cord").click
      expect(page).to have_css("[data-count]", text: /\A0\z/)
      expect(page).to have_css("[data-kept]", text: "Saved")
    end

    def finish(id) = RealStore.store.notebook.finish(id, {"used" => {}})

    it "counts that were made away belong to the make they were made for, before and after it was finished" do
      id = open_wreath("rope ring")
      made = RealStore.store.bench.finished(id)
      at_the_coils(id)
      away do
        2.times { press(:space) }
        expect(page).to have_css("[data-kept]", text: "the server is away")
      end
      # They come before the finish, and are the make's.
      expect(page).to have_css("[data-kept]", text: "Saved")
      away do
        3.times { press(:space) }
        expect(page).to have_css("[data-count]", text: /\A5\z/)
        finish(id)
      end
      # They come after it: the next make begins at its first step and at nought; they are offered to the one before.
      expect(page).to have_no_css("[data-count]")
      at_the_coils(id)
      press(:space)
      expect(page).to have_css("[data-count]", text: /\A1\z/)
      expect(page).to have_css("[data-kept]", text: "Saved")
      expect(RealStore.store.bench.state(id)).to include("finished" => made + 1, "counts" => {"base.coil" => 1})
      visit "/notebook"
      expect(page).to have_css("li", text: /came after it was finished: 3 at “(Rope coil|Coil the cord)”/)
      expect(page).to be_axe_clean
      click_on "Add it here"
      expect(page).to have_no_text("came after it was finished")
    end

    it "a count that was taken back below nought begins at nought again" do
      id = open_wreath("rope ring")
      at_the_coils(id)
      RealStore.store.bench.take(id, [1, -1, -1, 1].each_with_index.map { |amount, i|
        {"event" => "another-device-#{i}", "step" => "base.coil", "kind" => "count", "amount" => amount}
      })
      expect(page).to have_css("[data-count]", text: /\A1\z/)
    end
  end
end
