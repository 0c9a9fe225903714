# frozen_string_literal: true

require_relative "one_time_tokens"

module Server
  module Auth
    # Links that pair a device with an account: good for ten minutes, and once.
    class Pairings
      MINUTES = 10

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @return [String] a token that stands for the account until it is used
      def begin(account)
        rows.where { self.until < Sequel.lit("UTC_TIMESTAMP()") }.delete
        token = OneTimeTokens.token
        rows.insert(digest: OneTimeTokens.digest(token), account_id: account,
          until: Sequel.lit("UTC_TIMESTAMP() + INTERVAL #{MINUTES} MINUTE"))
        token
      end

      # @return [Integer, nil] the account that a token stands for, for the first who brings it
      def take(token)
        account = rows.where(digest: OneTimeTokens.digest(token)).where {
          self.until >= Sequel.lit("UTC_TIMESTAMP()")
        }.get(:account_id)
        account if account && rows.where(digest: OneTimeTokens.digest(token)).delete == 1
      end

      private

      def rows = @database[:pairings]
    end
  end
end
