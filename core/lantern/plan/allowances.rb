# frozen_string_literal: true

module Lantern
  module Plan
    # The allowances learned from finished makes that a plan has taken up.
    module Allowances
      module_function

      # @return [Field]
      def field
        Field::List.new(:learned, most: 200, label: "Allowances learned", of: Field::Record.new(:allowance,
          label: "An allowance", fields: [
            Field::Text.new(:method, required: true, most: 60, label: "Method"),
            Field::Text.new(:material, required: true, most: 60, label: "Material"),
            Field::Number.new(:factor, required: true, least: 0.2, most: 5.0, label: "Used for every one planned"),
            Field::Number.new(:spread, required: true, least: 0.0, most: 2.0, label: "Spread"),
            Field::Count.new(:makes, default: 1, most: 100_000, label: "Makes behind it")
          ]))
      end

      # @param read [Array<Hash>] what the field read
      # @return [Array<Measure::Learned>]
      def of(read) = read.map { Measure::Learned.new(**_1) }
    end
  end
end
