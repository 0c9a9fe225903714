# frozen_string_literal: true

module Lantern
  # Values that never change after they are made: what Ruby 3.2 calls Data, for Ruby 3.1, on its own
  # Struct. A plan makes hundreds of them for every key that a maker types, so that what makes them is
  # written out for their members.
  #
  #   Point = Value.define(:x, :y) do
  #     def length = Math.hypot(x, y)
  #   end
  #   Point.new(x: 3, y: 4).with(y: 0).length   # => 3.0
  module Value
    # @return [Class] whose objects take these members by name, answer them, and are frozen
    def self.define(*members, &block)
      made = Struct.new(*members)
      made.class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
        # A value is one thing, not the list of its parts.
        undef_method :to_a

        def initialize(#{members.map { "#{_1}:" }.join(", ")})
          super(#{members.join(", ")})
          freeze
        end

        # A copy with some members changed.
        def with(**changed) = self.class.new(#{members.map { "#{_1}: self.#{_1}" }.join(", ")}, **changed)
      RUBY
      Class.new(made, &block)
    end
  end
end
