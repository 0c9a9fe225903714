# frozen_string_literal: true

require "base64"
require "json"
require "sequel"
require_relative "../core/lantern"

module Server
  # Everything that is kept, as one JSON document, and back: row for row, so that what is restored is
  # what was there.
  class Archive
    FORMAT = "crisp-lantern/archive"
    VERSION = 1
    # In the order in which they may name each other.
    TABLES = %i[settings materials actions occasions occasion_ticks wreaths entries ticks forms makes
      bench_events].freeze
    BYTES = :bytes

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
    end

    # @return [Hash] ready for JSON
    def write
      @database.transaction(isolation: :repeatable) do
        {"format" => FORMAT, "version" => VERSION, "tables" => TABLES.to_h { |table| [table.to_s, rows(table)] }}
      end
    end

    # Puts everything back as it was; what is there now is gone. All or nothing.
    # @param document [Hash]
    # @return [Hash] how many rows of each table
    # @raise [Lantern::Plan::Refused] when it is no such archive
    def restore(document)
      check(document)
      tables = TABLES.to_h { |table| [table, document["tables"].fetch(table.to_s, []).map { |row| read(table, row) }] }
      @database.transaction do
        TABLES.reverse_each { |table| empty(table) }
        tables.each { |table, rows| rows.each_slice(500) { |some| @database[table].multi_insert(some) } }
      end
      tables.to_h { |table, rows| [table.to_s, rows.size] }
    rescue Sequel::ConstraintViolation, Sequel::DatabaseError => error
      raise if error.is_a?(Sequel::DatabaseDisconnectError) || error.is_a?(Sequel::DatabaseConnectionError)
      refuse("tables", "This archive contradicts itself: " \
        "#{error.message[/\A[^:]*: (.*)/, 1] || "a row cannot be kept"}. Nothing was changed.")
    end

    private

    def rows(table)
      order = @database.schema(table).select { |_, column| column[:primary_key] }.map(&:first)
      @database[table].order(*order).map { |row| row.to_h { |column, value| [column.to_s, said(value)] } }
    end

    def said(value)
      case value
      when Time then value.utc.strftime("%Y-%m-%d %H:%M:%S")
      when Sequel::SQL::Blob then {BYTES.to_s => Base64.strict_encode64(value)}
      when String then (value.encoding == Encoding::BINARY) ? {BYTES.to_s => Base64.strict_encode64(value)} : value
      else value
      end
    end

    def empty(table)
      # An action that undoes another goes before it.
      (table == :actions) ? @database[table].order(Sequel.desc(:id)).delete : @database[table].delete
    end

    def check(document)
      unless document.is_a?(Hash) && document["format"] == FORMAT
        refuse("", "This is no archive of Crisp Lantern: its format is missing.")
      end
      unless document["version"] == VERSION
        refuse("version",
          "This archive is of another version, #{document["version"]}; this application reads #{VERSION}.")
      end
      refuse("tables", "The archive has no tables.") unless document["tables"].is_a?(Hash)
      unknown = document["tables"].keys - TABLES.map(&:to_s)
      refuse("tables", "The archive has a table that is not known here: “#{unknown.first[0, 40]}”.") if unknown.any?
      document["tables"]
        .each { |table, rows| refuse("tables.#{table}", "“#{table}” is not a list of rows.") unless rows.is_a?(Array) }
      Array(document["tables"]["materials"]).each { |row| check_material(row) if row.is_a?(Hash) }
    end

    # A material that cannot be read would stand in the way of the whole stash.
    def check_material(row)
      Lantern::Plan::Material.check(JSON.parse(row["document"].to_s), units: row["units"].to_s)
    rescue Lantern::Plan::Refused => refused
      refuse("tables.materials",
        "The material “#{row["name"].to_s[0, 40]}” cannot be read: #{refused.problems.first.says}")
    rescue JSON::ParserError
      refuse("tables.materials", "The material “#{row["name"].to_s[0, 40]}” cannot be read: its document is not JSON.")
    end

    def read(table, row)
      refuse("tables.#{table}", "A row of “#{table}” is not an object.") unless row.is_a?(Hash)
      known = columns(table)
      row.to_h do |name, value|
        column = known[name] or
          refuse("tables.#{table}", "A row of “#{table}” has a column that is not known here: “#{name[0, 40]}”.")
        [column, value.is_a?(Hash) ? Sequel.blob(Base64.strict_decode64(value[BYTES.to_s].to_s)) : value]
      end
    rescue ArgumentError
      refuse("tables.#{table}", "A row of “#{table}” holds bytes that cannot be read.")
    end

    def columns(table) = (@columns ||= {})[table] ||= @database[table].columns.to_h { [_1.to_s, _1] }

    def refuse(at, says) = raise(Lantern::Plan::Refused.at(at, says))
  end
end
