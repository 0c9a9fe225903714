# frozen_string_literal: true

require "capybara/rspec"
require "timeout"
require_relative "../../server/http/thread_buffers"
require_relative "chromium"
require_relative "patience"
require_relative "server"
require_relative "tried_again"

Capybara.server = :puma, {Silent: true}
Capybara.app = Server::Compression.new(Server::App.without_sign_in.new)
Capybara.default_driver = :chromium
Capybara.javascript_driver = :chromium
Capybara.default_max_wait_time = Patience.seconds(Patience::FOR_A_SCREEN)
Capybara.enable_aria_label = true

# Ways around the screens.
module Driving
  # Everything the stages need, with the demo loaded.
  def load_demo = RealStore.load_demo

  def open_wreath(name, stage = "cover")
    id = RealStore.store.wreaths.all.find { _1["name"].include?(name) }["id"]
    visit "/wreaths/#{id}/#{stage}"
    expect(page).to have_css("footer li")
    # What a wise friend says comes beside the plan, and moves what stands below it.
    quiet
    id
  end

  # A store whose database is away.
  AWAY = Class.new { def translating_errors(**) = raise(Server::DatabaseErrors::Away) }.new

  # While the block runs, nobody answers the screens; what is done in it, others do.
  def away
    Server::App.set :store, AWAY
    yield
  ensure
    Server::App.set :store, RealStore.store
  end

  # As another device, with nothing of this one's. Where there is a server of the specs' own, a session has it from its
  # beginning.
  def on_another_device
    Capybara.using_session(Capybara.run_server ? :other : :other_elsewhere) do
      yield
    ensure
      Capybara.current_session.reset!
    end
  end

  # Nothing is asked any more, and nothing that was asked is still to come.
  def quiet = Driving.wait_until_quiet(page)

  # Nothing that this document asked: what the one before asked while it went never comes to an end.
  def self.wait_until_quiet(page)
    asked = -> { page.driver.browser.network.traffic.select(&:request) }
    Timeout.timeout(Patience.seconds(60)) do
      loop do
        document = asked.call.reverse.find { _1.request.type?(:document) }&.request&.loader_id
        break if asked.call.none? { _1.request.loader_id == document && !_1.finished? }
        sleep 0.05
      end
    end
  rescue Timeout::Error
    nil
  end

  # From the first question to a wreath: a ring of the usual size, in the covering that is named.
  def begin_wreath(covering = "Rope coil")
    visit "/"
    click_on "New wreath"
    find("button", text: "Ring", exact_text: true).click
    click_on "Next: what have you got?"
    click_on "Take this: #{covering}"
    expect(page).to have_css("footer li")
    page.current_path[/\d+/].to_i
  end

  # The figure on the tape above these words.
  def tape(words) = find("footer button", text: words).find("span", match: :first).text

  # How many pieces of a lie are drawn.
  def drawn(lie) = lie.all(:xpath, "./*[name()='path']", visible: :all).sum { _1["d"].count("M") }

  def keep_window(width, height)
    page.driver.resize(width, height)
    yield
  ensure
    page.driver.resize(1280, 800)
  end

  def saved = expect(page).to(have_css("[role=status]", text: /\ASaved\z/))

  # Waits for what becomes true of what is kept, which no screen shows.
  def eventually
    page.document.synchronize(Patience.seconds(40)) do
      yield || raise(Capybara::ElementNotFound, "It did not come true.")
    end
  end
end

# Clean when axe finds no violation of WCAG or of its own best practices; or only of the rules that are named.
RSpec::Matchers.define :be_axe_clean do |rules|
  axe = File.read(File.expand_path("../../web/node_modules/axe-core/axe.min.js", __dir__))
  match do |page|
    Driving.wait_until_quiet(page)
    page.execute_script(axe)
    look = <<~JS
      const [options, done] = arguments
      const node = (n) => n.html.slice(0, 160) + " " + (n.any[0]?.message ?? "")
      axe.run(document, options)
        .then((found) => done(found.violations.map((v) => `${v.id}: ${v.nodes.map(node).join(" | ")}`)))
    JS
    # On a busy machine axe looks for longer than a person would wait for a screen.
    options = rules ? {runOnly: rules} : {}
    @faults = Capybara.using_wait_time(Patience.seconds(120)) { page.evaluate_async_script(look, options) }
    @faults.empty?
  end
  failure_message { "axe found:\n#{@faults.join("\n")}" }
end

RSpec.configure do |config|
  config.include Capybara::DSL, :browser
  config.include Capybara::RSpecMatchers, :browser
  config.include Driving, :browser
  config.before(:each, :browser) do
    Capybara.default_max_wait_time = Patience.seconds(Patience::FOR_A_SCREEN)
    page.driver.clear_cookies
  end
  config.after(:each, :browser) { Capybara.reset_sessions! }
end
