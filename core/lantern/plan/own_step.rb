# frozen_string_literal: true

module Lantern
  module Plan
    # A step of the maker's own, in the maker's own words: after or before a layer, another step, or what comes before
    # all of them. `takes` is what it uses up: materials by their ids, and how much.
    OwnStep = Value.define(:id, :after, :before, :title, :says, :minutes, :takes) do
      def initialize(id: nil, after: nil, before: nil, takes: [], **rest) = super
    end

    class OwnStep
      # Where it can come besides after a layer: after the form is ready, after the cutting, after it is hung.
      BESIDES = {prepare: "Preparing the form", cut: "Cutting the pieces", hang: "Hanging"}.freeze
      PLACES = BESIDES.keys.map(&:to_s).freeze
      # Steps that are of no layer and that it may stand by, too.
      STEPS = %w[join fluff].freeze

      # @return [Field]
      def self.field
        Field::List.new(:steps, most: 30, label: "Steps of your own", default_says: "none",
          of: Field::Record.new(:step, label: "A step", fields: [
            Field::Text.new(:id, most: 60, label: "Id"),
            Field::LayerId.new(:after, label: "After", besides: BESIDES),
            Field::LayerId.new(:before, label: "Before", besides: BESIDES),
            Field::Text.new(:title, required: true, most: 80, label: "What"),
            Field::Text.new(:says, most: 500, blank: true, default: "", label: "How"),
            Field::Number.new(:minutes, most: 1440.0, default: 5.0, label: "Minutes"),
            Field::List.new(:takes, most: 12, label: "Uses up", of: Field::Record.new(:taken, label: "What it uses up",
              fields: [
                Field::Reference.new(:material, required: true, label: "Material"),
                Field::Length.new(:length, label: "Length"),
                Field::Number.new(:count, least: 0.0, most: 1000.0, above: true, label: "How many")
              ]))
          ]))
      end
    end
  end
end
