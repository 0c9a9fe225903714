# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"
require_relative "../../server/tls/house_certificate"

RSpec.describe Server::TLS::HouseCertificate do
  let(:folder) { Dir.mktmpdir("lantern-tls") }
  let(:time) { [Time.utc(2026, 11, 30)] }
  let(:house) { described_class.new(File.join(folder, "tls"), now: -> { time.last }) }
  let(:names) { %w[localhost porch] }

  after { FileUtils.rm_rf(folder) }

  def renew(addresses = %w[192.168.1.20], names = self.names) = house.renew(names:, addresses:)

  def certificate = OpenSSL::X509::Certificate.new(File.read(house.certificate_path))

  # What OpenSSL itself says of it, asked for a host at a time.
  def verified(path = house.certificate_path, **host)
    host = host.flat_map { |kind, value| ["-verify_#{kind}", value] }
    said, = Open3.capture2e("openssl", "verify", "-attime", time.last.to_i.to_s, "-CAfile", house.authority_path, *host,
      path)
    said[/OK$|error \d+.*/]
  end

  it "is good for the names and addresses of the house, for a year at most" do
    expect(renew).to be true
    expect([verified(ip: "192.168.1.20"), verified(hostname: "porch"), verified(hostname: "localhost")]).to all eq "OK"
    expect(verified(ip: "192.168.1.21")).to match(/IP address mismatch/)
    expect(certificate.not_after - certificate.not_before).to be <= 366 * 86_400
    expect(renew).to be false
  end

  it "is made anew for another address and before a year is over, by the same authority" do
    renew
    authority, fingerprint = File.read(house.authority_path), house.fingerprint
    expect(renew(%w[10.0.0.5])).to be true
    expect([verified(ip: "10.0.0.5"), verified(ip: "192.168.1.20")]).to match ["OK", /mismatch/]
    time << Time.utc(2027, 10, 28)
    expect(renew(%w[10.0.0.5])).to be false
    time << Time.utc(2027, 11, 5)
    expect(renew(%w[10.0.0.5])).to be true
    expect([verified(ip: "10.0.0.5"), File.read(house.authority_path), house.fingerprint])
      .to eq ["OK", authority, fingerprint]
    # A name that the authority was not made for has to do without; one that is announced later has not.
    expect(renew(%w[10.0.0.5], %w[localhost porch porch.local shed])).to be true
    expect([verified(hostname: "porch.local"), verified(hostname: "shed")]).to match ["OK", /mismatch/]
  end

  it "is made by an authority that can vouch for nobody outside the house" do
    renew
    rogue = File.join(folder, "rogue.crt")
    {"DNS:lantern.example" => 47, "IP:192.0.2.9" => 47, "DNS:porch.example" => 47, "IP:192.168.7.7" => nil}
      .each do |name, error|
      house.send(:make_certificate, [name])
      FileUtils.mv(house.certificate_path, rogue)
      # Source: X509_verify_cert(3), 47: permitted subtree violation.
      expect([name, verified(rogue)]).to match [name, error ? /error #{error} / : "OK"]
    end
    extensions = OpenSSL::X509::Certificate.new(File.read(house.authority_path)).extensions
    # Source: RFC 5280, 4.2.1.9 and 4.2.1.10.
    expect(extensions.to_h { [_1.oid, _1.critical?] }).to include("basicConstraints" => true, "nameConstraints" => true)
    expect(extensions.find { _1.oid == "basicConstraints" }.value).to eq "CA:TRUE, pathlen:0"
  end

  it "has keys that nobody else reads, and puts right what is damaged or missing" do
    renew
    expect(Dir.glob("#{folder}/tls/**", File::FNM_DOTMATCH).map { File.stat(_1).mode & 0o077 }.uniq).to eq [0]
    File.write(house.certificate_path, "nothing")
    expect([renew, verified]).to eq [true, "OK"]
    FileUtils.rm(house.key_path)
    expect([renew, verified]).to eq [true, "OK"]
    FileUtils.rm(house.authority_path)
    expect([renew, verified]).to eq [true, "OK"]
  end

  it "knows what this machine is called and has as addresses" do
    expect(described_class.names("Porch.example", announced: false)).to eq %w[localhost porch]
    expect(described_class.names("porch", announced: true)).to eq %w[localhost porch porch.local]
    expect(described_class.names("-", announced: true)).to eq %w[localhost]
    expect(described_class.addresses).to include("127.0.0.1", "::1")
  end
end
