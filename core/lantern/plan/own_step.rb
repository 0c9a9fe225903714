# frozen_string_literal: true

module Lantern
  module Plan
    # A step of the maker's own: after a layer, or after what comes before all of them, in the maker's own words.
    OwnStep = Value.define(:after, :title, :says, :minutes)

    class OwnStep
      # Where it can come besides after a layer: after the form is ready, after the cutting, after it is hung.
      BESIDES = {prepare: "Preparing the form", cut: "Cutting the pieces", hang: "Hanging"}.freeze
      PLACES = BESIDES.keys.map(&:to_s).freeze

      # @return [Field]
      def self.field
        Field::List.new(:steps, most: 30, label: "Steps of your own", default_says: "none",
          of: Field::Record.new(:step, label: "A step", fields: [
            Field::LayerId.new(:after, required: true, label: "After", besides: BESIDES),
            Field::Text.new(:title, required: true, most: 80, label: "What"),
            Field::Text.new(:says, most: 500, blank: true, default: "", label: "How"),
            Field::Number.new(:minutes, most: 1440.0, default: 5.0, label: "Minutes")
          ]))
      end
    end
  end
end
