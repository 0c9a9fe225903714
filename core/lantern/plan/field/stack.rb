# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # How many ribbons lie on one another: a number of the main one, or the ids of all of them.
      class Stack < Field
        MOST = 12

        # @return [List] what may stand there, where they are named
        attr_reader :ids

        def initialize(name, kinds:, **rest)
          super(name, **rest)
          @count = Count.new(name, most: MOST, label:)
          @ids = List.new(name, of: Reference.new(:ribbon, kinds:, label: "A ribbon"), most: MOST, label:)
        end

        # @return [Integer, Array<String>, nil]
        def read(value, at, reading) = (value.is_a?(Array) ? @ids : @count).read(value, at, reading)

        private

        # The screens offer the number; several colours are chosen as materials.
        def kind = "count"

        def limits = {"least" => 1, "most" => MOST}
      end
    end
  end
end
