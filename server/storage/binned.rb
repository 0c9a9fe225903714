# frozen_string_literal: true

module Server
  class Store
    # Rows that are deleted into a bin, and leave it after thirty days, or come back.
    module Binned
      DAYS = 30

      # @raise [Missing, Outdated]
      def delete(id, version)
        @database.atomically do
          row = rows.where(id:).for_update.first || raise(Missing)
          raise Outdated.new(show(row)) unless row[:version] == version
          all_rows.where(id:).update(deleted_at: Sequel::CURRENT_TIMESTAMP, version: version + 1, **leaving(row))
        end
      end

      # @return [Array<Hash>] what was deleted, the latest first, and when it is gone for good
      def binned
        all_rows.exclude(deleted_at: nil).reverse(:deleted_at, :id).map do |row|
          {"id" => row[:id], "name" => row[:name], "deleted_at" => row[:deleted_at].utc.strftime("%Y-%m-%dT%H:%M:%SZ"),
           "days_left" => [DAYS - ((Time.now - row[:deleted_at]) / 86_400).floor, 0].max}
        end
      end

      # @return [Hash] the row, back where it was
      # @raise [Missing, Taken]
      def bring_back(id)
        @database.atomically do
          row = all_rows.where(id:).exclude(deleted_at: nil).for_update.first || raise(Missing)
          all_rows.where(id:).update(deleted_at: nil, version: row[:version] + 1, **returning(row))
        end
        find(id)
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      private

      def rows = all_rows.where(deleted_at: nil)

      def all_rows = @database[table]

      # What else changes in a row that goes into the bin, and in one that comes back.
      def leaving(_row) = {}

      def returning(_row) = {}
    end
  end
end
