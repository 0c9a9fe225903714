# frozen_string_literal: true

require "fileutils"
require "ipaddr"
require "openssl"
require "securerandom"
require "socket"
require_relative "../storage/atomic_file"

module Server
  module TLS
    # An authority of this house's own, and the certificate it signs for the names and addresses that this machine has
    # in the house. Whoever trusts the authority trusts it for these names and for private addresses, and for nothing
    # else: what stands in its name constraints no browser lets it overstep. A new address, or a year that is nearly
    # over, makes another certificate and never another authority.
    #
    # Sources: RFC 5280, 4.2.1.10 (name constraints); RFC 1918, RFC 4193, RFC 3927 and RFC 4291 (private, link-local
    # and loopback addresses).
    class HouseCertificate
      PRIVATE = %w[127.0.0.0/8 10.0.0.0/8 172.16.0.0/12 192.168.0.0/16 169.254.0.0/16 ::1/128 fc00::/7 fe80::/10]
        .map { IPAddr.new(_1) }.freeze
      # Of the certificate; in days. It is made anew when so many are left.
      DAYS, RENEWED = 365, 30
      AUTHORITY_YEARS = 10
      # Whatever the clock says at a first start, the authority is good from here on.
      FROM = Time.utc(2026)
      DAY = 86_400
      LABEL = /\A[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\z/
      private_constant :DAY, :LABEL

      # Where whoever announces names on the local network listens, on Debian.
      ANNOUNCER = "/run/avahi-daemon/socket"

      class << self
        # @return [Array<String>] the names that this machine has in the house
        def names(host = Socket.gethostname, announced: File.socket?(ANNOUNCER))
          label = host.downcase[/\A[^.]+/].to_s
          return ["localhost"] unless label.match?(LABEL)
          ["localhost", label, *("#{label}.local" if announced)].uniq
        end

        # @return [Array<String>] the addresses that it has there and answers on
        def addresses
          ["::1", *Socket.ip_address_list.select(&:ipv4?).map(&:ip_address)].uniq
            .select { |each| PRIVATE.any? { _1.include?(IPAddr.new(each)) } }
        end
      end

      # @param folder [String] made when it is not there; its keys are readable by their owner alone
      # @param now [#call]
      def initialize(folder, now: -> { Time.now })
        @folder, @now = folder, now
        FileUtils.mkdir_p(folder, mode: 0o700)
      end

      # Makes what is missing, too old, or not for all of these names; one that the machine has no more does no harm.
      # @return [Boolean] whether there is another certificate than before
      def renew(names: HouseCertificate.names, addresses: HouseCertificate.addresses)
        make_authority(names) unless authority_good?
        wanted = [*names.select { permitted?(_1) }.map { "DNS:#{_1}" }, *addresses.map { "IP:#{IPAddr.new(_1)}" }].sort
        return false if certificate_good?(wanted)
        make_certificate(wanted)
        true
      end

      # Files in PEM: of the certificate with its authority, of its key, and of the authority alone.
      def certificate_path = path("house.crt")

      def key_path = path("house.key")

      def authority_path = path("authority.crt")

      # @return [String] by which the authority is known to be the right one: the first sixteen bytes of its SHA-256
      def fingerprint
        OpenSSL::Digest::SHA256.hexdigest(authority.to_der)[0, 32].scan(/..../).join(" ")
      end

      private

      def path(name) = File.join(@folder, name)

      def authority = OpenSSL::X509::Certificate.new(File.read(authority_path))

      def authority_key = OpenSSL::PKey.read(File.read(path("authority.key")))

      def authority_good?
        authority.check_private_key(authority_key) && authority.not_after > @now.call + DAYS * DAY
      rescue SystemCallError, OpenSSL::OpenSSLError
        false
      end

      # Names that the authority was made for; the machine may have another one since.
      def permitted?(name) = authority.extensions.find { _1.oid == "nameConstraints" }.value.include?("DNS:#{name}\n")

      def certificate_good?(wanted)
        there = OpenSSL::X509::Certificate.new(File.read(certificate_path))
        there.verify(authority.public_key) && there.check_private_key(OpenSSL::PKey.read(File.read(key_path))) &&
          there.not_before <= @now.call && there.not_after > @now.call + RENEWED * DAY &&
          (wanted - names_of(there)).empty?
      rescue SystemCallError, OpenSSL::OpenSSLError
        false
      end

      def names_of(certificate)
        said = certificate.extensions.find { _1.oid == "subjectAltName" }&.value.to_s.split(", ")
        said.map { |each| each.start_with?("IP") ? "IP:#{IPAddr.new(each.sub(/\AIP(?: Address)?:/, ""))}" : each }.sort
      end

      def make_authority(names)
        key = OpenSSL::PKey::EC.generate("prime256v1")
        made = unsigned("Crisp Lantern of #{names.last}", key, FROM, @now.call + AUTHORITY_YEARS * 365 * DAY)
        made.issuer = made.subject
        extend_with(made, made, "basicConstraints" => ["CA:TRUE,pathlen:0", true],
          "keyUsage" => ["keyCertSign,cRLSign", true], "nameConstraints" => [constraints(names), true],
          "subjectKeyIdentifier" => ["hash", false])
        made.sign(key, OpenSSL::Digest.new("SHA256"))
        AtomicFile.write(path("authority.key"), key.to_pem)
        AtomicFile.write(authority_path, made.to_pem)
      end

      # Also names that are announced only later.
      def constraints(names)
        label = names.last.delete_suffix(".local")
        allowed = [*names, *("#{label}.local" unless label == "localhost")].uniq
        networks = PRIVATE.map { |each| "permitted;IP:#{each}/#{each.native.then { mask_of(_1) }}" }
        [*allowed.map { "permitted;DNS:#{_1}" }, *networks].join(",")
      end

      def mask_of(network)
        bits = network.ipv6? ? 128 : 32
        mask = ((1 << bits) - 1) ^ ((1 << (bits - network.prefix)) - 1)
        IPAddr.new(mask, network.family).to_s
      end

      def make_certificate(wanted)
        key = OpenSSL::PKey::EC.generate("prime256v1")
        made = unsigned("Crisp Lantern", key, @now.call - DAY, @now.call + (DAYS - 1) * DAY)
        made.issuer = authority.subject
        extend_with(made, authority, "basicConstraints" => ["CA:FALSE", true],
          "keyUsage" => ["digitalSignature", true], "extendedKeyUsage" => ["serverAuth", false],
          "subjectAltName" => [wanted.join(","), false], "subjectKeyIdentifier" => ["hash", false],
          "authorityKeyIdentifier" => ["keyid", false])
        made.sign(authority_key, OpenSSL::Digest.new("SHA256"))
        AtomicFile.write(key_path, key.to_pem)
        AtomicFile.write(certificate_path, made.to_pem + authority.to_pem)
      end

      def unsigned(name, key, from, till)
        OpenSSL::X509::Certificate.new.tap do |made|
          made.version, made.serial = 2, SecureRandom.random_number(1 << 128) + 1
          made.subject = OpenSSL::X509::Name.new([["CN", name]])
          made.public_key = key
          made.not_before, made.not_after = from, till
        end
      end

      def extend_with(made, issuer, extensions)
        factory = OpenSSL::X509::ExtensionFactory.new(issuer, made)
        extensions.each { |name, (value, critical)|
          made.add_extension(factory.create_extension(name, value, critical))
        }
      end
    end
  end
end
