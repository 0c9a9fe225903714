# frozen_string_literal: true

require "fileutils"
require "net/http"
require "openssl"
require "tmpdir"
require_relative "../support/server"
require_relative "../support/trial/application"

# The example configuration, as it stands but for its paths and ports, before a real start.
RSpec.describe "The proxy's example configuration" do
  let(:folder) { Dir.mktmpdir("lantern-proxy") }
  let(:application) { Trial::Application.new(folder, "--house", env: {"HOST" => "127.0.0.1"}) }
  let(:port) { TCPServer.open("127.0.0.1", 0) { _1.addr[1] } }

  after do
    Process.kill(:TERM, @proxy) && Process.wait(@proxy) if @proxy
    application.stop
    FileUtils.rm_rf(folder)
  end

  # A certificate that it signs itself.
  def write_certificate
    key = OpenSSL::PKey::RSA.new(2048)
    certificate = OpenSSL::X509::Certificate.new.tap do |each|
      each.subject = each.issuer = OpenSSL::X509::Name.parse("/CN=lantern.home")
      each.public_key, each.serial, each.version = key.public_key, 1, 2
      each.not_before, each.not_after = Time.now - 60, Time.now + 3600
      each.sign(key, OpenSSL::Digest.new("SHA256"))
    end
    File.write(File.join(folder, "key.pem"), key.to_pem)
    File.write(File.join(folder, "certificate.pem"), certificate.to_pem)
  end

  # @param also [Integer, nil] the port of another machine
  def begin_proxy(to, also: nil)
    write_certificate
    configuration = File.read(File.expand_path("../../deploy/nginx.conf", __dir__))
      .sub("/run/crisp-lantern-proxy.pid", File.join(folder, "pid")).sub("listen 443", "listen 127.0.0.1:#{port}")
      .gsub("/etc/crisp-lantern", folder).sub("server 127.0.0.1:9292", "server 127.0.0.1:#{to}")
    configuration = configuration.sub("# server 127.0.0.1:9293", "server 127.0.0.1:#{also}") if also
    path = File.join(folder, "nginx.conf").tap { File.write(_1, configuration) }
    @proxy = Process.spawn("nginx", "-p", folder, "-e", File.join(folder, "errors"), "-c", path, "-g", "daemon off;")
    Timeout.timeout(10) { sleep(0.05) until File.exist?(File.join(folder, "pid")) }
  end

  def ask(verb, path, body = nil, cookie: nil, proto: nil)
    Net::HTTP.start("127.0.0.1", port, use_ssl: true, verify_mode: OpenSSL::SSL::VERIFY_NONE) do |http|
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
