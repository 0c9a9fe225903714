# frozen_string_literal: true

require "digest"
require "rqrcode"
require "securerandom"

module Server
  module Auth
    # Links that let somebody in: good for so long, and once. Only their digests are kept.
    module OneTimeTokens
      # @return [String] what nobody guesses
      def self.token = SecureRandom.urlsafe_base64(32)

      def self.digest(token) = Digest::SHA256.hexdigest(token.to_s)

      # @return [String] a link as a QR code, in SVG
      def self.qr(link) = RQRCode::QRCode.new(link, level: :m).as_svg(module_size: 6, viewbox: true, use_path: true,
        color: "000", fill: "fff", offset: 12)
    end
  end
end
