# frozen_string_literal: true

module Lantern
  module Form
    # What is on a form already: nothing, a covering that stays (so thick, of that colour), or one that is stripped
    # first (and how much of which material is saved by it). A word alone does, or an object with more.
    class Before < Plan::Field
      # What a covering that stays adds on every side when nobody measured it (from memory).
      THICKNESS = Rational(1, 8)

      STATES = {bare: "Nothing", covered: "A covering that stays", strip: "A covering to strip off"}.freeze

      # What is on it: `state`, how thick and of what colour; or which material is saved, and how much of it.
      Said = Value.define(:state, :thickness, :colour, :saves, :saved) do
        def covered? = state == :covered

        def strip? = state == :strip
      end

      def initialize(name)
        super(name, label: "What is on it already", fine: true, default_says: "nothing",
                    default: Said.new(state: :bare, thickness: 0r, colour: nil, saves: nil, saved: nil))
        @fields = [
          Choice.new(:state, choices: STATES, default: :covered, label: "What is on it already"),
          Length.new(:thickness, most: 6, label: "How thick it is", default_says: "an eighth of an inch, a guess"),
          Colour.new(:colour, label: "Its colour"),
          Reference.new(:saves, kinds: %i[ribbon rope mesh], label: "What of it is saved",
            help: "It goes into the stash when this wreath is cut."),
          Length.new(:saved, label: "How much of it")
        ]
      end

      # @return [Array<Plan::Field>] what an object of it is made of
      def fields_for(_value) = @fields

      # @return [Said, nil]
      def read(value, at, reading)
        if value.is_a?(String)
          state = @fields.first.read(value, at, reading)
          return state && made(state:)
        end
        read = Record.new(name, fields: @fields, label:).read(value, at, reading)
        read && made(**read)
      end

      private

      def made(state:, thickness: nil, colour: nil, saves: nil, saved: nil)
        thick = (state == :covered) ? thickness || THICKNESS : 0r
        state ||= :covered
        stripped = state == :strip
        Said.new(state:, thickness: thick, colour:, saves: (saves if stripped), saved: (saved if stripped))
      end

      # The screens offer the word, and then what goes with it.
      def kind = "before"

      def declared_default = nil

      def limits = {"choices" => STATES.map { |word, says| {"value" => word.to_s, "says" => says} },
                    "fields" => @fields.drop(1).map(&:declare)}
    end
  end
end
