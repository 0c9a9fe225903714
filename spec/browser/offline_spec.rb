# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/trial/application"

# The server is away: what was opened lately opens, the bench counts, and what was counted arrives once.
RSpec.describe "Without a server", :browser do
  let(:application) { Trial::Application.new(Dir.mktmpdir("lantern-away")) }

  before { Capybara.run_server = false }

  after do
    Capybara.app_host = nil
    Capybara.run_server = true
    application.stop
    FileUtils.rm_rf(application.var)
  end

  # Kept on this device: the worker that answers for the server is there, and answers for this page.
  def kept_on_this_device
    Capybara.using_wait_time(60) do
      page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")
    end
  end

  def on_another_device
    Capybara.using_session(:other) do
      yield
    ensure
      Capybara.current_session.reset!
    end
  end

  it "opens what was opened lately, counts on two devices, says what it cannot do, and sends everything once" do
    Capybara.app_host = application.start.address.to_s
    visit "/"
    first("h2 a", text: "Door 7, rope ring").click
    id = page.current_path[%r{/wreaths/(\d+)}, 1]
    expect(page).to have_css("footer li")
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Coil the cord", wait: 30).click
    press(:space)
    expect(page).to have_css("[data-kept]", text: "Saved")
    kept_on_this_device
    on_another_device do
      visit "/wreaths/#{id}/bench"
      expect(page).to have_css("[data-count]", text: /\A1\z/)
      application.kill(:application)
      2.times { press(:space) }
      expect(page).to have_css("[data-kept]", text: "the server is away")
      Capybara.using_session(:default) do
        page.refresh
        expect(page).to have_css("[data-count]", text: /\A1\z/)
        expect(page).to have_css("[data-kept]", text: "the server is away")
        3.times { press(:space) }
        expect(page).to have_css("[data-count]", text: /\A4\z/)
        visit "/wreaths/#{id}/cut"
        expect(page).to have_css("h3", text: "Tarred hemp cord")
        expect(page).to have_css("li", text: /fillers/)
        find("nav[aria-label=Stages] a", text: /\AForm/).click
        fill_in "Outside, across", with: "17"
        expect(page).to have_css("[role=alert]", text: "The server is away, so this cannot be worked out now")
        page.refresh
        visit "/wreaths/#{id}/bench"
        expect(page).to have_css("[data-count]", text: /\A4\z/)
      end
      application.start
      expect(page).to have_css("[data-kept]", text: "Saved", wait: 20)
      Capybara.using_session(:default) { expect(page).to have_css("[data-kept]", text: "Saved", wait: 20) }
      # One before, two here, three there.
      expect(page).to have_css("[data-count]", text: /\A6\z/, wait: 20)
      expect(application.ask("get", "/wreaths/#{id}/bench").last["counts"]).to eq("base.coil" => 6)
    end
  end

  it "can be installed, with a name and pictures of its own" do
    Capybara.app_host = application.start.address.to_s
    visit "/"
    # Source: W3C Web Application Manifest, the members that Chromium asks for.
    link = find("link[rel=manifest]", visible: :all)[:href]
    manifest = page.evaluate_async_script("fetch(arguments[0]).then((r) => r.json()).then(arguments[1])", link)
    expect(manifest).to include("name" => "Crisp Lantern", "start_url" => "/", "display" => "standalone")
    sizes = manifest["icons"].map { |icon|
      page.evaluate_async_script(<<~JS, icon["src"])
        const [src, done] = arguments
        const image = new Image()
        image.onload = () => done(`${image.width}x${image.height}`)
        image.src = src
      JS
    }
    expect(sizes).to eq(manifest["icons"].map { _1["sizes"] })
    expect(sizes).to include("192x192", "512x512")
  end
end
