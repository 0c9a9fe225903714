# frozen_string_literal: true

require "net/http"
require "openssl"
require "socket"
require "timeout"
require_relative "patience"

# The example configuration of the proxy as it stands, but for its paths and ports, with a certificate that it signs
# itself.
class Proxy
  attr_reader :port

  # @param folder [String] for its files
  # @param to [Integer] the port of the application
  # @param also [Integer, nil] that of another machine
  def initialize(folder, to:, also: nil)
    @folder, @to, @also = folder, to, also
    @port = TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
  end

  # @return [self]
  def start
    write_certificate
    path = File.join(@folder, "nginx.conf").tap { File.write(_1, configuration) }
    @number = Process.spawn("nginx", "-p", @folder, "-e", File.join(@folder, "errors"), "-c", path, "-g",
      "error_log #{File.join(@folder, "errors")}; daemon off;")
    Timeout.timeout(Patience.seconds(60)) { sleep(0.05) until File.exist?(File.join(@folder, "pid")) }
    self
  end

  def stop
    return unless @number
    Process.kill(:TERM, @number)
    Process.wait(@number)
  end

  # @return [Net::HTTP] a connection over TLS
  def connection = Net::HTTP.new("127.0.0.1", port).tap {
    _1.use_ssl = true
    _1.verify_mode = OpenSSL::SSL::VERIFY_NONE
  }

  private

  def configuration
    text = File.read(File.expand_path("../../deploy/nginx.conf", __dir__))
      .sub("error_log stderr warn;\n", "")
      .sub("/run/crisp-lantern-proxy.pid", File.join(@folder, "pid")).sub("listen 443", "listen 127.0.0.1:#{port}")
      .gsub("/etc/crisp-lantern", @folder).sub("server 127.0.0.1:9292", "server 127.0.0.1:#{@to}")
    @also ? text.sub("# server 127.0.0.1:9293", "server 127.0.0.1:#{@also}") : text
  end

  def write_certificate
    key = OpenSSL::PKey::RSA.new(2048)
    certificate = OpenSSL::X509::Certificate.new.tap do |each|
      each.subject = each.issuer = OpenSSL::X509::Name.parse("/CN=lantern.home")
      each.public_key, each.serial, each.version = key.public_key, 1, 2
      each.not_before, each.not_after = Time.now - 60, Time.now + 3600
      each.sign(key, OpenSSL::Digest.new("SHA256"))
    end
    File.write(File.join(@folder, "key.pem"), key.to_pem)
    File.write(File.join(@folder, "certificate.pem"), certificate.to_pem)
  end
end
