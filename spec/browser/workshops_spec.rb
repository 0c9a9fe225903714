# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../../server/auth"

# Workshops in real browsers: a maker at the machine, and others with devices of their own.
RSpec.describe "Workshops on the screen", :browser, :store do
  before { RealStore.load_demo }

  let(:address) do
    door = Server::RequestGuard.new(Server::Auth.around(RealStore.database, "s" * 64) { |app| app.new })
    Capybara::Server.new(door).boot.then { "http://127.0.0.1:#{_1.port}" }
  end

  let(:ring) { RealStore.store.wreaths.all.find { _1["name"].include?("rope ring") }["id"] }

  def on_a_device(name = :phone, width = 390)
    Capybara.using_session(name) do
      keep_window(width, 800) { yield }
    ensure
      Capybara.current_session.reset!
    end
  end

  def first_account
    visit "#{address}/settings"
    fill_in "Name", with: "Wick"
    fill_in "Password", with: "nine lanterns hung"
    click_on "Make it and go in"
    expect(page).to have_css("h2", text: "Your workshops")
  end

  # A link that somebody was sent.
  def link(as)
    within("section[aria-label='This workshop']") { find("label", text: as).click }
    click_on "Ask somebody in"
    find("dialog a")[:href].tap { click_on "Close" }
  end

  def come_in(login, workshop: nil)
    fill_in "Name", with: login
    fill_in "Password", with: "ten lanterns hung"
    fill_in "What it is called", with: workshop if workshop
    click_on "Come in"
    expect(page).to have_css("h1", text: "Wreaths")
  end

  it "lets a helper in by a link, who counts and ticks and finds nothing to change" do
    first_account
    expect(page).to be_axe_clean
    sent = link("As a helper")
    on_a_device do
      visit sent
      expect(page).to have_text("You are asked to help")
      expect(page).to be_axe_clean
      come_in("Linnet")
      expect(page).to have_no_css("a", text: "New wreath")
      expect(page).to have_no_css("summary", text: "Everything as one file")
      find("h2 a", text: "Door 7, rope ring").click
      # To the cut sheet: what a helper does there.
      expect(page).to have_css("h2", text: "Cut sheet")
      expect(page).to have_no_button("I cut it")
      expect(page).to be_axe_clean
      first("li input[type=checkbox]").check
      expect(page).to have_css("span", text: /1 of \d+ ticked/)
      find("nav[aria-label=Stages] a", text: /\AForm/).click
      expect(page).to have_text("You are a helper here")
      expect(page).to have_field("Outside, across", disabled: true)
      expect(page).to have_field("Name of the wreath", disabled: true)
      expect(page).to be_axe_clean
      find("nav[aria-label=Stages] a", text: /\ABench/).click
      find("nav[aria-label=Steps] button", text: "Coil the cord").click
      3.times { click_on "One more" }
      expect(page).to have_css("[data-kept]", text: "Saved")
      visit "#{address}/stash"
      expect(page).to have_button("Add a material", disabled: true)
    end
    expect(RealStore.store.bench.state(ring)["counts"]).to eq("base.coil" => 3)
    visit "#{address}/settings"
    within("li", text: "Linnet") { find("label", text: "maker").click }
    expect(page).to have_css("li", text: /Linnet.*Let go/m)
    quiet
    expect(RealStore.database[:memberships].order(:account_id).select_map(:role)).to eq %w[maker maker]
  end

  it "gives somebody a workshop of their own, with nothing of this one in it, and lets them go between two" do
    first_account
    sent = link("To a workshop of their own")
    on_a_device(:other, 1280) do
      visit sent
      come_in("Teasel", workshop: "Teasel’s loft")
      expect(page).to have_no_text("Door 7")
      click_on "Load the example street"
      expect(page).to have_css("h2 a", text: "Door 7, rope ring")
      visit "#{address}/settings"
      expect(page).to have_css("h2", text: "Teasel’s loft")
      fill_in "Name of a new workshop", with: "Guild table"
      click_on "Begin it"
      expect(page).to have_css("h1", text: "Wreaths")
      expect(page).to have_no_text("Door 7")
      visit "#{address}/settings"
      click_on "Go to Teasel’s loft"
      expect(page).to have_css("h2 a", text: "Door 7, rope ring")
      visit "#{address}/settings"
      find("summary", text: "Delete everything").click
      fill_in "Its name, to be sure: Teasel’s loft", with: "Teasel’s loft"
      fill_in "Your password", with: "ten lanterns hung"
      click_on "Delete it for good"
      expect(page).to have_css("h1", text: "Wreaths")
      visit "#{address}/settings"
      expect(page).to have_css("h2", text: "Guild table")
      expect(page).to have_no_text("Teasel’s loft")
    end
    expect(RealStore.database[:workshops].order(:id).select_map(:name)).to eq ["Workshop of Wick", "Guild table"]
    expect(RealStore.store.wreaths.all.size).to eq 27
  end

  it "says on one screen of a device that another one has gone elsewhere, and saves nothing there" do
    first_account
    visit "#{address}/wreaths/#{ring}/form"
    expect(page).to have_field("Outside, across")
    other = open_new_window
    within_window(other) do
      visit "#{address}/settings"
      fill_in "Name of a new workshop", with: "Guild table"
      click_on "Begin it"
      expect(page).to have_css("h1", text: "Wreaths")
    end
    fill_in "Name of the wreath", with: "Meant for the other one"
    expect(page).to have_css("[role=alert]", text: "has gone to another workshop")
    expect(RealStore.database[:wreaths].where(Sequel.like(:name, "Meant%")).count).to eq 0
    other.close
  end
end
