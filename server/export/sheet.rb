# frozen_string_literal: true

require "csv"

module Server
  # Files that go out and come in.
  module Export
    # Rows as CSV that a spreadsheet opens safely: what it would take for a formula is marked as text.
    module Sheet
      # What a spreadsheet takes for the beginning of a formula.
      FORMULA = /\A[=+\-@\t\r]/

      module_function

      # @param rows [Array<Array>]
      # @return [String]
      def write(rows) = CSV.generate { |csv| rows.each { |row| csv << row.map { safe(_1) } } }

      # A number is no formula; any text that could be one gets an apostrophe before it.
      def safe(cell) = (cell.is_a?(String) && cell.match?(FORMULA)) ? "'#{cell}" : cell

      # The cell as it was before {safe}.
      def plain(cell) = (cell&.start_with?("'") && cell[1..].match?(FORMULA)) ? cell[1..] : cell
    end
  end
end
