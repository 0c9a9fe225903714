# frozen_string_literal: true

require "base64"
require "digest"
require "json"
require "sequel"
require_relative "../../core/lantern"

module Server
  # Everything that is kept, as one file, and back: row for row, so that what is restored is what was there.
  #
  # The file is JSON Lines: a first line that says what it is and how many rows each table has, a line for every row,
  # and a last line with a checksum of all before it. It is written and read line by line, however many photos it
  # holds, and looked at whole before anything is touched. Files of the first version, one JSON document each, are
  # still read.
  class Archive
    FORMAT = "crisp-lantern/archive"
    VERSION = 2
    # In the order in which they may name each other.
    TABLES = %i[settings pictures places materials actions occasions occasion_ticks wreaths entries ticks forms makes
      bench_events plan_versions hangings].freeze
    # What follows from those, or lives for a day.
    DERIVED = %i[lots requests kept_answers upload_parts].freeze
    # Who may come in belongs to the machine, not to what was made on it: it is in no file that is carried about, and
    # stays as it is when one is put back.
    DOOR = %i[accounts account_active_session_keys pairings attempts workshops memberships invitations leases].freeze
    BYTES = "bytes"
    # Tables whose rows hold photos.
    HEAVY = %i[makes pictures].freeze
    # Bytes of a statement, roughly; and rows.
    MOST_AT_ONCE = 1_000_000
    MOST_ROWS = 500
    # No line is longer: a photo, its name and a note.
    MOST_LINE = 24_000_000
    # Files of the first version are read whole.
    MOST_OLD = 30_000_000

    # Throws away every row of a table, whichever of them name each other.
    # @param rows [Sequel::Dataset]
    def self.empty(rows, table)
      rows.update(undoes: nil, settles: nil) if table == :actions
      rows.delete
    end

    # @param database [TenantDataset] what belongs to a workshop; or the whole of a database as it was before there
    #   were any
    # @param ledger [Ledger]
    def initialize(database, ledger)
      @database, @ledger = database, ledger
    end

    # Writes everything as it is at this moment.
    # @yieldparam line [String]
    # @param now [Time]
    def each_line(now = Time.now)
      digest = Digest::SHA256.new
      say = ->(line) { JSON.generate(line).concat("\n").then { yield(_1.tap { |text| digest << text }) } }
      @database.transaction(isolation: :repeatable) do
        # A database of an earlier version has fewer.
        tables = TABLES & @database.tables
        counts = tables.to_h { [_1.to_s, @database[_1].count] }
        say.call("format" => FORMAT, "version" => VERSION, "made_at" => now.utc.strftime("%Y-%m-%dT%H:%M:%SZ"),
          "tables" => counts)
        tables.each { |table| rows(table) { |row| say.call("table" => table.to_s, "row" => row) } }
      end
      yield JSON.generate("end" => true, "sha256" => digest.hexdigest).concat("\n")
    end

    # Looks at an archive whole, and touches nothing.
    # @raise [Problem] when it is no such archive, or not whole
    def check(io) = reader(io).check

    # Looks whether all that was written is there, and nothing else: counts and checksum.
    # @raise [Problem]
    def check_whole(io) = reader(io).check(rows: false)

    # Puts everything back as it was; what is there now is gone. All or nothing.
    # @param io [IO] a file that can be read twice
    # @return [Hash] how many rows of each table
    # @raise [Problem] when it is no such archive, or not whole
    def restore(io)
      reader = reader(io)
      reader.check
      fill(reader)
    rescue Sequel::ConstraintViolation, Sequel::DatabaseError => error
      raise if error.is_a?(Sequel::DatabaseDisconnectError) || error.is_a?(Sequel::DatabaseConnectionError)
      refuse("tables", "This archive contradicts itself: " \
        "#{error.message[/\A[^:]*: (.*)/, 1] || "a row cannot be kept"}. Nothing was changed.")
    end

    private

    def reader(io)
      io.rewind
      first = io.gets("\n", 200).to_s
      first.include?('"version":2') ? Reading.new(io, @database) : Reading::First.new(io, @database)
    end

    def fill(reader)
      counts = {}
      @database.atomically do
        # A try that finds others at work is tried again.
        counts.replace(TABLES.to_h { [_1.to_s, 0] })
        (DERIVED + TABLES.reverse).each { |table| empty(table) }
        batches(reader) do |table, rows|
          @database[table].multi_insert(rows)
          counts[table.to_s] += rows.size
        end
        @ledger.count_anew
      end
      counts
    end

    # Rows of one table together, as many as a statement holds.
    def batches(reader)
      table, rows, bytes = nil, [], 0
      reader.each do |next_table, row, size|
        if next_table != table || rows.size >= MOST_ROWS || bytes + size > MOST_AT_ONCE
          yield table, rows if rows.any?
          table, rows, bytes = next_table, [], 0
        end
        rows << row
        bytes += size
      end
      yield table, rows if rows.any?
    end

    def rows(table)
      keys = @database.schema(table, reload: true).select { |_, column| column[:primary_key] }.map(&:first)
      # Photo by photo: the numbers first, and then row after row.
      @database[table].order(*keys).select_map(keys).each_slice(HEAVY.include?(table) ? 1 : 1_000) do |some|
        @database[table].where(keys => some.map { Array(_1) }).order(*keys)
          .each { |row| yield row.except(TenantDataset::COLUMN).to_h { |column, value| [column.to_s, said(value)] } }
      end
    end

    def said(value)
      case value
      when Time then value.utc.strftime("%Y-%m-%d %H:%M:%S")
      when Sequel::SQL::Blob then {BYTES => Base64.strict_encode64(value)}
      when String then (value.encoding == Encoding::BINARY) ? {BYTES => Base64.strict_encode64(value)} : value
      else value
      end
    end

    def empty(table) = Archive.empty(@database[table], table)

    def refuse(at, says) = raise(Problem.at(at, says))
  end
end

require_relative "archive/reading"
