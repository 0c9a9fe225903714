# frozen_string_literal: true

module Lantern
  # Values that never change after they are made: what Ruby 3.2 calls Data, for Ruby 3.1, on its own
  # Struct, because a plan makes hundreds of them for every key that a maker types.
  #
  #   Point = Value.define(:x, :y) do
  #     def length = Math.hypot(x, y)
  #   end
  #   Point.new(x: 3, y: 4).with(y: 0).length   # => 3.0
  module Value
    # @return [Class] whose objects take these members by name, answer them, and are frozen
    def self.define(*members, &block)
      made = Struct.new(*members, keyword_init: true) do
        def initialize(**given)
          raise ArgumentError, "missing #{(self.class.members - given.keys).join(", ")}" if given.size < size
          super
          freeze
        end

        # A copy with some members changed.
        def with(**changes) = self.class.new(**self.class.members.to_h { [_1, self[_1]] }, **changes)

        # A value is one thing, not the list of its parts.
        undef_method :to_a
      end
      Class.new(made, &block)
    end
  end
end
