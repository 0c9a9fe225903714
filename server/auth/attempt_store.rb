# frozen_string_literal: true

require "sequel"

module Server
  module Auth
    # How often something was tried, for rack-attack: in the database, so that all processes count together.
    class AttemptStore
      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @return [Integer] how often by now
      def increment(name, amount, expires_in: 60)
        till = Sequel.lit("UTC_TIMESTAMP() + INTERVAL ? SECOND", expires_in.to_i)
        @database.atomically do
          rows.on_duplicate_key_update(number: Sequel[:number] + amount)
            .insert(name: name[0, 190], number: amount, until: till)
          rows.where(name: name[0, 190]).get(:number)
        end
      end

      def read(name) = fresh.where(name: name[0, 190]).get(:number)

      def write(name, value, expires_in: 60)
        delete(name)
        increment(name, value.to_i, expires_in:)
      end

      def delete(name) = rows.where(name: name[0, 190]).delete

      # What is long past.
      def tidy = rows.where { self.until < Sequel.lit("UTC_TIMESTAMP()") }.delete

      private

      def rows = @database[:attempts]

      def fresh = rows.where { self.until >= Sequel.lit("UTC_TIMESTAMP()") }
    end
  end
end
