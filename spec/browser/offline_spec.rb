# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/line"
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
    Capybara.using_wait_time(Patience.seconds(60)) do
      page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")
    end
  end

  # The sheets beside the work are kept a moment after it was opened.
  def sheets_kept(id)
    page.document.synchronize(Patience.seconds(40)) do
      kept = page.evaluate_async_script(<<~JS)
        const [done] = arguments
        caches.open("sheets").then((sheets) => sheets.keys()).then((names) => done(names.length))
      JS
      raise Capybara::ElementNotFound, "#{kept} sheets of wreath #{id} are kept" if kept < 2
    end
  end

  def sheet(id, name)
    page.evaluate_async_script(<<~JS, "/api/wreaths/#{id}/#{name}")
      const [path, done] = arguments
      fetch(path).then((r) => r.blob()).then((b) => b.text()).then((text) => done(text.slice(0, 5)), String)
    JS
  end

  it "opens what was opened lately, counts on two devices, says what it cannot do, and sends everything once" do
    Capybara.app_host = application.start.address.to_s
    visit "/"
    first("h2 a", text: "Door 7, rope ring").click
    id = page.current_path[%r{/wreaths/(\d+)}, 1]
    expect(page).to have_css("footer li")
    visit "/wreaths/#{id}/bench"
    find("nav[aria-label=Steps] button", text: "Coil the cord").click
    press(:space)
    expect(page).to have_css("[data-kept]", text: "Saved")
    kept_on_this_device
    # From now on the worker is between this page and the server.
    page.refresh
    sheets_kept(id)
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
        expect(%w[cut-sheet.pdf pattern-card.pdf].map { sheet(id, _1) }).to eq %w[%PDF- %PDF-]
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
      expect(page).to have_css("[data-kept]", text: "Saved")
      Capybara.using_session(:default) { expect(page).to have_css("[data-kept]", text: "Saved") }
      # One before, two here, three there.
      expect(page).to have_css("[data-count]", text: /\A6\z/)
      expect(application.ask("get", "/wreaths/#{id}/bench").last["counts"]).to eq("base.coil" => 6)
    end
  end

  describe "in a house" do
    let(:application) { Trial::Application.new(Dir.mktmpdir("lantern-away"), "--house") }

    def pairing_link
      fill_in "Name", with: "Wick"
      fill_in "Password", with: "nine lanterns hung"
      click_on "Make it and go in"
      expect(page).to have_css("h1", text: "Wreaths")
      visit "/settings"
      click_on "Pair a device"
      URI(find("dialog a")[:href]).path.tap { click_on "Close" }
    end

    def away(count)
      expect(page).to have_css("[data-kept]", text: "the server is away")
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
    end

    def arrived(count)
      expect(page).to have_css("[data-kept]", text: "Saved")
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
    end

    it "counts on a phone that was paired, with its network cut and with the server killed, and both are right" do
      Capybara.app_host = application.start.address.to_s
      line = Line.new(application.address)
      visit "/"
      link = pairing_link
      visit "/"
      first("h2 a", text: "Door 7, rope ring").click
      bench = "/wreaths/#{page.current_path[%r{/wreaths/(\d+)}, 1]}/bench"
      visit bench
      find("nav[aria-label=Steps] button", text: "Coil the cord").click
      press(:space)
      arrived(1)
      on_another_device do
        keep_window(390, 800) do
          # By another way than the machine's own browser; away from it that needs TLS.
          visit "#{line}#{link}"
          click_on "Pair it"
          expect(page).to have_css("h2", text: "Door 7, rope ring")
          visit "#{line}#{bench}"
          arrived(1)
          kept_on_this_device
          line.cut
          2.times { click_on "One more" }
          away(3)
          page.refresh
          away(3)
          Capybara.using_session(:default) do
            press(:space)
            arrived(2)
          end
          line.mend
          arrived(4)
          Capybara.using_session(:default) { arrived(4) }
          application.kill(:application)
          click_on "One more"
          away(5)
          Capybara.using_session(:default) do
            press(:space)
            away(5)
          end
          application.start
          arrived(6)
          Capybara.using_session(:default) { arrived(6) }
        end
      end
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
