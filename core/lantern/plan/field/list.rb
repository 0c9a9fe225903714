# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Several values of one kind, in order.
      class List < Field
        attr_reader :of

        # @param of [Field] what each of them is
        def initialize(name, of:, least: 0, most: 200, **rest)
          super(name, default: [], **rest)
          @of = of
          @least = least
          @most = most
        end

        # @return [Array, nil] without the refused ones
        def read(value, at, reading)
          unless value.is_a?(Array)
            return reading.refuse(at, "#{label} must be a list; #{reading.quote(value)} is none.")
          end
          return reading.refuse(at, "#{label} must hold at least #{@least}.") if value.size < @least
          return reading.refuse(at, "#{label} holds #{value.size}; #{@most} are allowed.") if value.size > @most
          value.each_with_index.map { |each, place| @of.read(each, "#{at}.#{place}", reading) }.compact
        end

        private

        def limits = {"of" => @of.declare, "most" => @most}
      end
    end
  end
end
