# frozen_string_literal: true

module Lantern
  module Plan
    # One reading of one document: the units it is written in, the materials it names, and every
    # problem met so far. The only thing in the core that fills up as it goes; it is thrown away
    # once the plan is read.
    class Reading
      attr_reader :units, :cache, :problems, :lengths
      attr_accessor :material_ids, :open_form

      # @param cache [#fetch] of what was worked out before
      def initialize(units:, cache: Cache::None)
        @units = units
        @cache = cache
        @problems = []
        @lengths = {}
        @material_ids = nil
      end

      # Notes a problem. Answers nil, so that a field can end with it.
      def refuse(at, says)
        @problems << Problem::Entry.new(at:, says:)
        nil
      end

      # Notes a length as it was understood, so that a screen can show it back.
      def understood(at, inches) = @lengths[at] = inches

      # Runs a step that may raise {Refused}; its problems join the others.
      def collect
        yield
      rescue Refused => refused
        @problems.concat(refused.problems)
        nil
      end

      def length_text(inches) = Measure::Length.text(inches, units:)

      # A value as a sentence may quote it: short, on one line.
      def quote(value)
        text = value.is_a?(String) ? "“#{value.scrub("?").gsub(/[[:cntrl:]]/, " ")}”" : value.to_s
        (text.length > 40) ? "#{text[0, 38]}…" : text
      end
    end
  end
end
