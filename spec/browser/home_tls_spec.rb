# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/trial/application"

# A house with a certificate of its own, and a device that trusts it by its own store, as a phone would.
RSpec.describe "A house with TLS of its own", :browser do
  let(:application) { Trial::Application.new(Dir.mktmpdir("lantern-tls"), "--house") }
  let(:home) { Dir.mktmpdir("lantern-device") }

  before { Capybara.run_server = false }

  after do
    Capybara.app_host = nil
    Capybara.run_server = true
    Capybara.session_name = :default
    application.stop
    FileUtils.rm_rf([application.var, home])
  end

  def certutil(*given)
    said, status = Open3.capture2e("certutil", *given, "-d", "sql:#{home}/.pki/nssdb")
    raise said unless status.success?
  end

  # A browser whose device has a store of certificates of its own; errors of certificates end a visit.
  def on_a_device(trusting: nil)
    if trusting
      FileUtils.mkdir_p("#{home}/.pki/nssdb")
      certutil("-N", "--empty-password")
      certutil("-A", "-t", "C,,", "-n", "house", "-i", trusting)
    end
    name = :"device_#{trusting ? "trusting" : "strange"}"
    Capybara.register_driver(name) do |app|
      Capybara::Cuprite::Driver.new(app, window_size: [1280, 800], timeout: 300, process_timeout: 300,
        browser_path: Chromium::PATH,
        browser_options: {"host-resolver-rules" => "MAP lantern.home 127.0.0.1", **Chromium::OPTIONS},
        env: {"HOME" => home})
    end
    session = Capybara::Session.new(name)
    yield session
  ensure
    session&.quit
  end

  def secure_address = URI(application.said[%r{https://[\d.]+:\d+}])

  def first_account
    visit application.address.to_s
    fill_in "Name", with: "Wick"
    fill_in "Password", with: "nine lanterns hung"
    click_on "Make it and go in"
    expect(page).to have_css("h1", text: "Wreaths")
    visit "#{application.address}/settings"
    click_on "Pair a device"
    find("dialog a")[:href]
  end

  it "is opened, kept and opened again with the server killed by a device that trusts it, and tells another one how" do
    application.start
    secure = secure_address.tap { _1.host = "127.0.0.1" }.to_s
    Capybara.app_host = nil
    link = first_account
    expect(link).to start_with "http://"
    authority = File.join(application.var, "tls/authority.crt")
    on_a_device(trusting: authority) do |device|
      device.visit "#{secure}#{URI(link).path}"
      device.click_on "Pair it"
      expect(device).to have_css("h2", text: "Door 7, rope ring")
      expect(device.evaluate_script("isSecureContext")).to be true
      # Source: Chrome DevTools Protocol, Page.getInstallabilityErrors.
      device.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")
      device.refresh
      errors = device.driver.browser.page.command("Page.getInstallabilityErrors")["installabilityErrors"]
      expect(errors.map { _1["errorId"] }).to eq []
      id = device.first("h2 a", text: "Door 7, rope ring")[:href][%r{wreaths/(\d+)}, 1]
      device.visit "#{secure}/wreaths/#{id}/bench"
      device.find("nav[aria-label=Steps] button", text: "Coil the cord").click
      device.click_on "One more"
      expect(device).to have_css("[data-kept]", text: "Saved")
      application.kill(:application)
      device.visit "#{secure}/wreaths/#{id}/bench"
      expect(device).to have_css("[data-count]", text: /\A1\z/)
      2.times { device.click_on "One more" }
      expect(device).to have_css("[data-count]", text: /\A3\z/)
      expect(device).to have_css("[data-kept]", text: "the server is away")
      application.start
      expect(device).to have_css("[data-kept]", text: "Saved")
    end
  end

  it "warns a device that does not trust it, and tells it in words what to do" do
    application.start
    link = first_account
    on_a_device do |device|
      expect { device.visit secure_address.to_s }.to raise_error(Ferrum::StatusError)
      # By a name that it has in the house; what is asked on the machine itself is trusted without a certificate.
      house = "http://lantern.home:#{application.address.port}"
      device.visit "#{house}#{URI(link).path}"
      expect(device).to have_css("h2", text: "Or so that it opens with the server off, too")
      expect(device.all("ol h3").map(&:text)).to eq ["Fetch the certificate of the house",
        "Tell the device to trust it", "Open it here from now on"]
      expect(device).to have_text(application.said[/authority is ([\h ]+)$/, 1])
      expect(device).to have_link(href: "https://lantern.home:#{secure_address.port}#{URI(link).path}")
      expect(Net::HTTP.get(URI(application.address.to_s).merge("/authority.crt")))
        .to eq File.read(File.join(application.var, "tls/authority.crt"))
      # Without trust everything works but that.
      device.click_on "Pair it"
      expect(device).to have_css("h2", text: "Door 7, rope ring")
      device.visit "#{house}/settings"
      device.click_on "How it does that, too"
      expect(device).to have_css("dialog h3", text: "Tell the device to trust it")
      Capybara.using_session(device) { expect(page).to be_axe_clean }
    end
  end
end
