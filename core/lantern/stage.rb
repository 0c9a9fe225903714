# frozen_string_literal: true

module Lantern
  # A stage of the work, in its order: what it is called, and what a stage without anything in it says. Those
  # that hold layers say what the next layer is called (`more`).
  Stage = Value.define(:key, :title, :empty, :teaches, :more)

  class Stage
    ALL = Registry.new("stage")

    class << self
      # @raise [Registry::Unknown]
      def fetch(key) = ALL.fetch(key)

      # @return [Array<Hash>] for the API, in the order of the work
      def declare = ALL.map(&:declare)

      private

      def know(key, title, empty: nil, teaches: nil, more: nil)
        ALL.know(key, new(key:, title:, empty:, teaches:, more:))
      end
    end

    def layers? = !more.nil?

    # @return [Hash] for the API
    def declare
      {
        "key" => key.to_s, "title" => title, "layers" => layers?,
        "empty" => empty, "teaches" => teaches, "more" => more
      }.compact
    end

    know :form, "Form"
    know :cover, "Cover", empty: "Nothing on it yet", more: "Add a layer on top",
      teaches: "Choose a covering, and the drawing shows it on this form."
    know :trim, "Trim", empty: "Nothing fixed on yet", more: "Add another",
      teaches: "A bow, picks, a sign: each at its place by the clock, with what holds it."
    know :hang, "Hang", empty: "Nothing to hang it by yet", more: "Add to it",
      teaches: "Fitted before the covering, a hanger is out of sight."
    know :cut, "Cut", empty: "Nothing to cut yet", teaches: "Choose a covering first."
    know :buy, "Buy", empty: "Nothing is needed yet", teaches: "Choose a covering first."
    know :bench, "Bench"
  end
end
