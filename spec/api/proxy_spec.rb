# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/proxy"
require_relative "../support/server"
require_relative "../support/trial/application"

# The example configuration, as it stands but for its paths and ports, before a real start.
RSpec.describe "The proxy's example configuration" do
  let(:folder) { Dir.mktmpdir("lantern-proxy") }
  let(:application) do
    Trial::Application.new(folder, "--house", env: {"HOST" => "127.0.0.1", "PROXIES" => "127.0.0.1"})
  end
  let(:proxies) { [] }

  after do
    proxies.each(&:stop)
    application.stop
    FileUtils.rm_rf(folder)
  end

  # @param also [Integer, nil] the port of another machine
  def begin_proxy(to, also: nil) = proxies << Proxy.new(folder, to:, also:).start

  def ask(verb, path, body = nil, cookie: nil, proto: nil)
    proxies.last.connection.start do |http|
      headers = {"content-type" => ("application/json" if body), "cookie" => cookie, "host" => "lantern.home",
                 "x-forwarded-proto" => proto}.compact
      http.send_request(verb, "/api#{path}", body && JSON.generate(body), headers)
    end
  end

  it "lets the house in over TLS, with a cookie that goes over nothing else, and makes no first account from afar" do
    begin_proxy(application.start.address.port)
    expect(ask("GET", "/wreaths").code).to eq "401"
    # Through the proxy nobody is at the machine itself.
    expect(JSON.parse(ask("GET", "/account").body)).to eq("house" => true, "first" => false)
    made = application.ask("post", "/account/first", {login: "Wick", password: "nine lanterns hung"})
    expect(made[0]).to eq 200
    signed = ask("POST", "/account/sign-in", {login: "Wick", password: "nine lanterns hung"}, proto: "http")
    expect(signed.code).to eq "200"
    cookie = signed["set-cookie"]
    expect(cookie).to match(/secure/i).and match(/httponly/i).and match(/samesite=lax/i)
    expect(signed["strict-transport-security"]).to match(/max-age=\d+/)
    expect(JSON.parse(ask("GET", "/wreaths", cookie: cookie[/\A[^;]+/]).body)["wreaths"].size).to eq 27
    link = JSON.parse(ask("POST", "/account/pairings", {}, cookie: cookie[/\A[^;]+/]).body)["link"]
    expect(link).to start_with "https://lantern.home"
  end

  it "asks another machine when one is gone" do
    gone = TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
    begin_proxy(gone, also: application.start.address.port)
    expect(Array.new(8) { ask("GET", "/health").code }).to eq ["200"] * 8
    application.close
    expect(ask("GET", "/health").code).to eq "502"
  end
end
