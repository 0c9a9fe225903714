# frozen_string_literal: true

require "json"
require_relative "../http/problem"
require_relative "sheet"

module Server
  module Export
    # The stash as CSV, out and in. A row is a material, one way it is sold, or a piece of it on hand;
    # `row` says which, and `id` which material it belongs to. Lengths may carry their units.
    module StashFile
      HEADS = %w[row id kind name colour texture repeat picture picture_width width diameter thickness wired sheer
        directional notes length end_width lost_edge count price sale_price sort shop with sale_from sale_every
        cut_out].freeze
      OFFERS = %w[width length count price sale_price sale_from sale_every shop].freeze
      COUNTS = %w[count sale_every].freeze
      ROWS = %w[material offer piece].freeze
      LENGTHS = %w[repeat picture_width width length end_width lost_edge diameter thickness].freeze
      SWITCHES = %w[wired sheer directional].freeze
      MOST = 200_000

      module_function

      # @param materials [Array<Hash>] material documents, all in these units
      # @return [String]
      def write(materials, units)
        rows = materials.flat_map do |material|
          offers = Array(material["offers"]).map { cells("offer", material, _1, units) }
          pieces = Array(material["on_hand"]).map { cells("piece", material, sizes(material, _1), units) }
          [cells("material", material, material, units), *offers, *pieces]
        end
        Sheet.write([HEADS, *rows])
      end

      # @param text [String] a CSV file
      # @return [Array<Hash>] material documents
      # @raise [Problem] with every bad line named
      def read(text, units)
        rows = parse(text)
        problems = []
        materials = {}
        rows.each { |line, row| place(line, row, materials, problems) }
        materials.each_value do |line, material|
          Lantern::Plan::Material.check(material, units:)
        rescue Lantern::Plan::Refused => refused
          problems.concat(
            refused.problems.map { |problem| problem(line, "#{problem.at.delete_prefix(".")}: #{problem.says}") }
          )
        end
        raise Problem.new(problems.first(200)) if problems.any?
        materials.values.map(&:last)
      end

      def cells(row, material, values, units)
        HEADS.map do |head|
          next row if head == "row"
          next material["id"] if head == "id"
          value = values[head] unless row == "piece" && %w[name kind].include?(head)
          next (value ? "yes" : nil) if SWITCHES.include?(head)
          next value && JSON.generate(value) if head == "cut_out"
          (value.is_a?(Numeric) && LENGTHS.include?(head)) ? "#{value} #{units}" : value
        end
      end

      def sizes(material, piece)
        return piece if piece.is_a?(Hash)
        {(sold(material) == :count) ? "count" : "length" => piece}
      end

      # What is of no known kind is counted, until it is refused.
      def sold(material) = Lantern::Plan::Kind.find(material["kind"])&.sold || :count

      def parse(text)
        text = text.dup.force_encoding("UTF-8").delete_prefix("\uFEFF")
        if !text.valid_encoding? || text.include?("\uFFFD")
          refuse(1, "The file is not text in UTF-8: save it as CSV UTF-8.")
        end
        refuse(1, "The file has more than #{MOST} lines.") if text.count("\n") > MOST
        separator = separator_of(text)
        table = CSV.parse(text, skip_blanks: true, col_sep: separator)
        heads = (table.shift || []).map { _1.to_s.strip.downcase }
        # Spreadsheets leave empty columns behind the last one.
        heads.pop while heads.last == ""
        unknown = heads - HEADS
        unless heads.include?("row") && heads.include?("id")
          refuse(1, "The first line must name the columns, of these: #{HEADS.join(", ")}.")
        end
        refuse(1, "The column “#{unknown.first}” is not known.") if unknown.any?
        table.each_with_index.map { |row, i|
          cells = heads.zip(row.map { Sheet.plain(_1)&.strip }).to_h.reject { |_, cell| cell.nil? || cell.empty? }
          [i + 2, (separator == ",") ? cells : cells.to_h { |head, cell| [head, with_point(head, cell)] }]
        }.reject { _2.empty? }
      rescue CSV::MalformedCSVError => error
        refuse(error.line_number || 1,
          "This is not CSV that can be read: a quote is left open, or stands where none should.")
      end

      # What stands between the columns, as spreadsheets of several countries write them: whatever the first line has
      # most of.
      def separator_of(text) = [",", ";", "\t"].max_by { text[/\A[^\n]*/].count(_1) }

      MONEY = %w[price sale_price].freeze
      DECIMAL_COMMA = /\A(\d+),(\d+)(\D*)\z/

      # Where columns are not told apart by commas, a comma in a number is its decimal point.
      def with_point(head, cell) = (LENGTHS + MONEY).include?(head) ? cell.sub(DECIMAL_COMMA, '\1.\2\3') : cell

      def place(line, row, materials, problems)
        kind, id = row.values_at("row", "id")
        return problems << problem(line, "“row” must be material, offer or piece.") unless ROWS.include?(kind)
        return problems << problem(line, "“id” is missing.") unless id
        return begin_material(line, row, materials, problems) if kind == "material"
        return problems << problem(line, "There is no material “#{id}” above this line.") unless materials[id]
        material = materials[id].last
        return material["offers"] << numbers(row.slice(*OFFERS)) if kind == "offer"
        material["on_hand"] << piece(row, material)
      end

      def begin_material(line, row, materials, problems)
        if materials[row["id"]]
          return problems << problem(line, "The material “#{row["id"]}” stands in this file twice.")
        end
        switches = SWITCHES.select { row[_1]&.match?(/\A(yes|true|1|x)\z/i) }.to_h { [_1, true] }
        document = row.except("row", "end_width", "cut_out", *(OFFERS - ["width"]), *SWITCHES)
          .merge(switches, outline(row["cut_out"]))
        materials[row["id"]] = [line, document.merge("offers" => [], "on_hand" => [])]
      end

      # What is no JSON stays the text that it is, for the core to refuse.
      def outline(cell)
        cell ? {"cut_out" => JSON.parse(cell)} : {}
      rescue JSON::ParserError
        {"cut_out" => cell}
      end

      def piece(row, material)
        case sold(material)
        when :count then row["count"].to_s.match?(/\A\d{1,6}\z/) ? row["count"].to_i : row["count"].to_s
        when :sheet then row.slice("width", "length", "end_width")
        else row["length"].to_s
        end
      end

      # A count is a number; a price stays the text that it is.
      def numbers(offer) = offer.to_h { |head, cell|
        [head, (COUNTS.include?(head) && cell.match?(/\A\d{1,6}\z/)) ? cell.to_i : cell]
      }

      def problem(line, says) = Lantern::Problem::Entry.new(at: "line #{line}", says: "Line #{line}: #{says}")

      def refuse(line, says) = raise(Problem.new([problem(line, says)]))

      private_class_method :cells, :sizes, :sold, :parse, :separator_of, :with_point, :place, :begin_material,
        :outline, :piece, :numbers, :problem, :refuse
    end
  end
end
