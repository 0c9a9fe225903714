# frozen_string_literal: true

module Lantern
  module Plan
    # Whether all words of a document are text: what is no UTF-8 is a problem where it stands, and is read no further.
    class Legible
      # Deeper than any plan.
      MOST_DEEP = 40
      SAYS = "These are not characters that can be read; type it anew."
      DEEP = "This is nested deeper than any plan."

      # @param document [Object] as JSON gives it, or as somebody's own program made it
      # @return [Array<Problem::Entry>]
      def self.problems(document) = new.tap { _1.look(document) }.problems

      attr_reader :problems

      def initialize
        @problems, @place = [], []
      end

      def look(value)
        case value
        when String then refuse(SAYS) unless text?(value)
        when Array then value.each_with_index { |each, index| within(each, index) }
        when Hash then value.each { |key, each| (key.is_a?(String) && text?(key)) ? within(each, key) : refuse(SAYS) }
        end
      end

      private

      def within(value, key)
        return refuse(DEEP) if @place.size >= MOST_DEEP
        @place.push(key)
        look(value)
        @place.pop
      end

      def text?(text) = text.valid_encoding? && (text.encoding == Encoding::UTF_8 || text.ascii_only?)

      def refuse(says) = @problems << Problem::Entry.new(at: @place.first(8).join("."), says:)
    end
  end
end
