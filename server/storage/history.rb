# frozen_string_literal: true

module Server
  class Store
    # What a plan was before it was changed. What is changed in one go, within a quarter of an hour, is one change:
    # what is kept is the plan as it was before it.
    class History
      # So many of a wreath are kept, and so many bytes of plans; the oldest go first.
      MOST, MOST_BYTES = 40, 1_000_000
      # Seconds within which one change goes on.
      ONE_GO = 15 * 60

      # @param database [TenantDataset]
      def initialize(database)
        @database = database
      end

      # Within the transaction that changes it.
      # @param row [Hash] the wreath as it was
      def note(row)
        own = rows.where(wreath_id: row[:id])
        return if own.where { at > Sequel.lit("UTC_TIMESTAMP() - INTERVAL #{ONE_GO} SECOND") }.any?
        rows.insert_ignore.insert(wreath_id: row[:id], version: row[:version], plan: row[:plan],
          at: Sequel.lit("UTC_TIMESTAMP()"))
        let_go(own)
      end

      # @return [Array<Hash>] `version`, `at` and `plan`, the newest first
      def of(wreath)
        rows.where(wreath_id: wreath).reverse(:version).map do |row|
          {"version" => row[:version], "at" => row[:at].utc.strftime("%Y-%m-%dT%H:%M:%SZ"),
           "plan" => JSON.parse(row[:plan])}
        end
      end

      private

      def let_go(own)
        bytes = 0
        sizes = own.reverse(:version).select_map([:version, Sequel.function(:length, :plan).as(:bytes)])
        oldest = sizes.each_with_index.find { |(_, size), i| i >= MOST || (bytes += size) > MOST_BYTES }
        own.where { version <= oldest[0][0] }.delete if oldest
      end

      def rows = @database[:plan_versions]
    end
  end
end
