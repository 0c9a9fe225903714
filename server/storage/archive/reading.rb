# frozen_string_literal: true

require "time"
require_relative "../photo"
require_relative "row_check"

module Server
  class Archive
    # An archive as it is read: looked at whole, and then row by row.
    class Reading
      # @param io [IO] a file that can be read twice
      # @param database [Sequel::Database]
      def initialize(io, database)
        @io, @database = io, database
        @rows_check = RowCheck.new { columns(_1) }
      end

      # @raise [Problem] when it is no archive, not whole, or holds what cannot be kept
      # @param rows [Boolean] whether what the rows say is looked at too
      def check(rows: true)
        @io.rewind
        said = head
        digest = Digest::SHA256.new << @first
        seen = Hash.new(0)
        last = nil
        lines do |line, text|
          break last = line if line.key?("end")
          digest << text
          seen[line["table"]] += 1
          row(line) if rows
        end
        refuse("", "The archive is cut short: its last line is missing. Nothing was changed.") unless last
        unless last["sha256"] == digest.hexdigest && seen == said["tables"].reject { |_, count| count.zero? }
          refuse("", "The archive was damaged on its way: its checksum is another one. Nothing was changed.")
        end
      end

      # @yieldparam table [Symbol]
      # @yieldparam row [Hash]
      # @yieldparam size [Integer] bytes, roughly
      def each
        @io.rewind
        head
        lines { |line, text| line.key?("end") ? break : yield(line["table"].to_sym, row(line), text.bytesize) }
      end

      private

      def head
        @first = @io.gets("\n", 20_000).to_s
        said = parsed(@first)
        unless said["format"] == FORMAT && said["version"] == VERSION && said["tables"].is_a?(Hash)
          refuse("", "This is no archive of Crisp Lantern: its first line does not say so.")
        end
        check_tables(said["tables"].keys)
        said
      end

      def check_tables(names)
        unknown = names - TABLES.map(&:to_s)
        refuse("tables", "The archive has a table that is not known here: “#{unknown.first[0, 40]}”.") if unknown.any?
        missing = %w[wreaths materials] - names
        return if missing.empty?
        refuse("tables", "The archive has no #{missing.first}, not even an empty list of them, so it is not " \
          "everything there was. Nothing was changed.")
      end

      def lines
        while (text = @io.gets("\n", MOST_LINE))
          yield parsed(text), text
        end
      end

      def parsed(text)
        line = JSON.parse(text.dup.force_encoding("UTF-8"), max_nesting: 8)
        line.is_a?(Hash) ? line : refuse("", "A line of the archive is no object. Nothing was changed.")
      rescue JSON::ParserError, EncodingError
        refuse("", "The archive cannot be read: a line is not JSON. Nothing was changed.")
      end

      # @return [Hash] as the database takes it
      def row(line) = read(line["table"], line["row"])

      def read(table, said)
        refuse("tables", "The archive has a table that is not known here.") unless TABLES.any? { _1.to_s == table }
        refuse("tables.#{table}", "A row of “#{table}” is not an object.") unless said.is_a?(Hash)
        known = columns(table.to_sym)
        row = said.to_h do |name, value|
          column = known[name] or
            refuse("tables.#{table}", "A row of “#{table}” has a column that is not known here: “#{name[0, 40]}”.")
          [name.to_sym, value(table, column, value)]
        end
        @rows_check.call(table, row)
        check_photo(row[:photo_type], row[:photo]) if table == "makes"
        check_photo(row[:type], row[:bytes]) if table == "pictures"
        row
      rescue ArgumentError
        refuse("tables.#{table}", "A row of “#{table}” holds something that cannot be read.")
      end

      def value(table, column, said)
        return Sequel.blob(Base64.strict_decode64(said[BYTES].to_s)) if said.is_a?(Hash)
        return said unless said.is_a?(String) && column[:type] == :datetime
        # In UTC on every machine, so that no hour is skipped in spring.
        Time.strptime("#{said} UTC", "%Y-%m-%d %H:%M:%S %Z").utc
      end

      def check_photo(type, bytes)
        return if bytes.nil? && type.nil?
        return if Photo.shows?(type, bytes)
        refuse("tables.makes", "A photo in the archive is not the picture it says it is. Nothing was changed.")
      end

      def columns(table)
        (@columns ||= {})[table] ||= @database.schema(table, reload: true).to_h { |name, about| [name.to_s, about] }
      end

      def refuse(at, says) = raise(Problem.at(at, says))

      # An archive of the first version: one JSON document.
      class First < Reading
        def check
          @io.rewind
          text = @io.read(MOST_OLD + 1).to_s
          # Told by how it begins, before anything is made of the rest.
          unless text[0, 200].match?(/\A\s*\{\s*"format"\s*:\s*"#{FORMAT}"/o)
            refuse("", "This is no archive of Crisp Lantern: its format is missing.")
          end
          refuse("", "This archive is larger than any of its version. Nothing was changed.") if text.bytesize > MOST_OLD
          @document = parsed(text)
          unless @document["version"] == 1
            refuse("version",
              "This archive is of another version, #{@document["version"]}; this application reads 1 and #{VERSION}.")
          end
          check_document
        end

        def each
          TABLES.each do |table|
            @document["tables"].fetch(table.to_s, []).each {
              yield table, read(table.to_s, _1), JSON.generate(_1).bytesize
            }
          end
        end

        private

        def check_document
          tables = @document["tables"]
          refuse("tables", "The archive has no tables.") unless tables.is_a?(Hash)
          check_tables(tables.keys)
          tables.each do |table, rows|
            refuse("tables.#{table}", "“#{table}” is not a list of rows.") unless rows.is_a?(Array)
            rows.each { read(table, _1) }
          end
        end
      end
    end
  end
end
