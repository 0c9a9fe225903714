# frozen_string_literal: true

module Server
  class Store
    # What wreaths and materials share: rows with versions.
    class Shelf
      def initialize(database)
        @database = database
      end

      # @raise [Missing]
      def find(id) = show(row(id))

      # @param version [Integer] the version that was before whoever deletes
      # @raise [Missing, Outdated]
      def delete(id, version)
        changed = rows.where(id:, version:).delete
        raise Outdated.new(find(id)) if changed.zero?
      end

      private

      # A row for a list: one that cannot be shown is a row that says why, and none of the others suffers.
      # @yieldreturn [Hash] the row as it is shown
      # @param otherwise [Hash] what is shown of it in any case
      def listed(row, **otherwise)
        yield
      rescue Lantern::Plan::Refused => refused
        stamps(row).merge(otherwise.transform_keys(&:to_s), "problem" => refused.problems.first.says)
      rescue TypeError, NoMethodError, KeyError, JSON::ParserError, ArgumentError
        stamps(row).merge(otherwise.transform_keys(&:to_s), "problem" => "This cannot be read any more. Delete it, " \
          "or bring back a backup from when it could.")
      end

      def rows = @database[table]

      def row(id) = rows.first(id:) || raise(Missing)

      def insert(values) = find(rows.insert(values))

      # Saves only over the version it was made from.
      def update(id, version, values)
        changed = rows.where(id:, version:).update(**values, version: version + 1,
          updated_at: Sequel::CURRENT_TIMESTAMP)
        raise Outdated.new(find(id)) if changed.zero?
        find(id)
      end

      def stamps(row) = {"id" => row[:id], "version" => row[:version],
                         "updated_at" => row[:updated_at].utc.strftime("%Y-%m-%dT%H:%M:%SZ")}
    end
  end
end
