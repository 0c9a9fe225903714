# frozen_string_literal: true

require_relative "api"
require_relative "../../server/auth"

# Devices that ask an application which is open to the house, each with its own cookies and as far away as it says.
module Devices
  def device(from: "192.168.1.20", agent: "Mozilla/5.0 (iPhone) Safari/605")
    @door ||= Server::HTTP::ForwardedHeaders.new(
      Server::RequestGuard.new(Server::Auth.around(RealStore.database, "s" * 64) { |app| app.new }),
      proxies: ["127.0.0.1"]
    )
    Rack::Test::Session.new(Rack::MockSession.new(@door)).tap { |browser|
      browser.env("REMOTE_ADDR", from)
      browser.header("User-Agent", agent)
      # The machine itself calls itself so; everybody else by the name that it has in the house.
      browser.header("Host", (from == "127.0.0.1") ? "127.0.0.1:9292" : "lantern.home:9292")
    }
  end

  def on(browser, verb, path, body = nil)
    browser.header("Content-Type", body && "application/json")
    browser.public_send(verb, "/api#{path}", *(body && JSON.generate(body)))
    JSON.parse(browser.last_response.body) if browser.last_response.content_type.to_s.start_with?("application/json")
  end

  def code(browser) = browser.last_response.status

  def password = "nine lanterns hung"

  # As if something had been tried so often just now, whichever period it is counted in when it is tried next.
  # @param what [String] of rack-attack: the limit's name, and whom it counts
  def tried_before(what, times, period)
    began = Time.now.to_i / period
    (began..began + 3_600 / period).each do |number|
      RealStore.database[:attempts].replace(name: "rack::attack:#{number}:#{what}", number: times,
        until: Sequel.lit("UTC_TIMESTAMP() + INTERVAL 2 HOUR"))
    end
  end

  # The maker at the machine itself, with the first account.
  def maker = device(from: "127.0.0.1", agent: "Mozilla/5.0 (X11; Linux) Firefox/140").tap { |browser|
    on(browser, :post, "/account/first", {login: "Wick", password:})
    expect(code(browser)).to eq 200
    browser.header("Host", "lantern.home:9292")
  }
end
