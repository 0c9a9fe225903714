# frozen_string_literal: true

module Lantern
  module Plan
    # How long a covering takes its maker, for every minute planned: learned from finished makes, taken up by a plan.
    Pace = Value.define(:method, :factor, :makes)

    class Pace
      # @return [Field]
      def self.field
        of = Field::Record.new(:pace, label: "A time", fields: [
          Field::Text.new(:method, required: true, most: 60, label: "Method"),
          Field::Number.new(:factor, required: true, least: 0.1, most: 10.0, label: "Minutes for every one planned"),
          Field::Count.new(:makes, default: 1, most: 100_000, label: "Makes behind it")
        ])
        Field::List.new(:paces, of:, most: 100, label: "Times learned")
      end
    end
  end
end
