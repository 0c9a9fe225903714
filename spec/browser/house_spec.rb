# frozen_string_literal: true

require_relative "../support/browser"
require_relative "../../server/auth"

# Open to the house, in real browsers: the machine itself, and a phone beside the glue gun.
RSpec.describe "The door on the screen", :browser, :store do
  before { RealStore.load_demo }

  let(:address) do
    door = Server::RequestGuard.new(Server::Auth.around(RealStore.database, "s" * 64) { |app| app.new })
    Capybara::Server.new(door).boot.then { "http://127.0.0.1:#{_1.port}" }
  end

  let(:ring) { RealStore.store.wreaths.all.find { _1["name"].include?("rope ring") }["id"] }

  # A phone: another browser, with nothing of the first one's.
  def on_a_phone(&)
    Capybara.using_session(:phone) do
      keep_window(390, 800, &)
    ensure
      Capybara.current_session.reset!
    end
  end

  it "makes the first account, pairs a phone by the code's link, counts on it, and shuts it out" do
    visit "#{address}/wreaths/#{ring}/bench"
    expect(page).to have_css("h1", text: "The first account")
    expect(page).to be_axe_clean
    fill_in "Name", with: "Wick"
    fill_in "Password", with: "short"
    click_on "Make it and go in"
    expect(page).to have_css("[role=alert]", text: /12 characters/)
    check "Show the password"
    expect(find_field("Password")[:type]).to eq "text"
    fill_in "Password", with: "nine lanterns hung"
    click_on "Make it and go in"
    # In, and where it was wanted.
    expect(page).to have_css("h1", text: "Door 7, rope ring")
    visit "#{address}/settings"
    click_on "Pair a device"
    expect(page).to have_css("dialog img[alt='The link as a QR code']")
    expect(page).to be_axe_clean
    link = find("dialog a")[:href]
    on_a_phone do
      visit "#{address}/wreaths/#{ring}/cover"
      expect(page).to have_css("h1", text: "Sign in")
      expect(page).to have_no_text("rope ring")
      visit link
      expect(page).to have_css("h1", text: "Pair this device")
      expect(page).to be_axe_clean
      click_on "Pair it"
      expect(page).to have_css("h2", text: "Door 7, rope ring")
      visit "#{address}/wreaths/#{ring}/bench"
      click_on "Next step"
      3.times { click_on "One more" }
      expect(page).to have_css("[data-kept]", text: "Saved")
      expect(RealStore.store.bench.state(ring)["counts"].values).to eq [3]

      Capybara.using_session(:default) do
        click_on "Close"
        expect(page).to have_css("ul[aria-label=Devices] li", count: 2)
        click_on "Shut out Chrome on Linux"
        expect(page).to have_css("ul[aria-label=Devices] li", count: 1)
      end
      visit "#{address}/stash"
      expect(page).to have_css("h1", text: "Sign in")
      expect(page).to have_no_text("Tarred hemp cord")
      fill_in "Name", with: "Wick"
      fill_in "Password", with: "nine lanterns hung"
      click_on "Sign in"
      expect(page).to have_text("Tarred hemp cord")
    end
    click_on "Sign out on this device"
    expect(page).to have_css("h1", text: "Sign in")
  end

  it "has no such thing where it is not open" do
    visit "/settings"
    expect(page).to have_css("h1", text: "Settings")
    expect(page).to have_no_css("section[aria-label='This house']")
  end
end
