# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A value, or a list of such values.
      class OneOrSeveral < Field
        # @return [Field] what each of them is
        attr_reader :of

        def initialize(name, of:, **rest)
          super(name, **rest)
          @of = of
        end

        # @return [Array, nil]
        def read(value, at, reading)
          return [@of.read(value, at, reading)].compact unless value.is_a?(Array)
          value.each_with_index.filter_map { |each, place| @of.read(each, "#{at}.#{place}", reading) }
        end

        private

        # The screens offer one.
        def kind = @of.declare["kind"]

        def limits = @of.declare.slice("choices", "kinds", "most")
      end
    end
  end
end
