# frozen_string_literal: true

require "digest"
require "rqrcode"
require "securerandom"

module Server
  module House
    # Links that pair a device with an account: good for ten minutes, and once. Only their digests are kept.
    class Pairings
      MINUTES = 10

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @return [String] a token that stands for the account until it is used
      def begin(account)
        rows.where { self.until < Sequel.lit("UTC_TIMESTAMP()") }.delete
        token = SecureRandom.urlsafe_base64(32)
        rows.insert(digest: digest(token), account_id: account,
          until: Sequel.lit("UTC_TIMESTAMP() + INTERVAL #{MINUTES} MINUTE"))
        token
      end

      # @return [Integer, nil] the account that a token stands for, for the first who brings it
      def take(token)
        account = rows.where(digest: digest(token)).where {
          self.until >= Sequel.lit("UTC_TIMESTAMP()")
        }.get(:account_id)
        account if account && rows.where(digest: digest(token)).delete == 1
      end

      # @return [String] a link as a QR code, in SVG
      def self.qr(link) = RQRCode::QRCode.new(link, level: :m).as_svg(module_size: 6, viewbox: true, use_path: true,
        color: "000", fill: "fff", offset: 12)

      private

      def rows = @database[:pairings]

      def digest(token) = Digest::SHA256.hexdigest(token.to_s)
    end
  end
end
