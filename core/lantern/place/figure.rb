# frozen_string_literal: true

module Lantern
  module Place
    # One number of a layer: its name in the worked plan, what kind of number it is, what it is called, and
    # the method that answers it. A layer declares its figures where it makes them.
    Figure = Value.define(:key, :kind, :label, :from)

    class Figure
      # How each kind is written in the plan's own units.
      KINDS = Registry.new("kind of figure")
      KINDS.know(:length, ->(inches, units) { Measure::Length.in_units(inches, units) })
      KINDS.know(:area, ->(square_inches, units) { Measure::Length.square_in_units(square_inches, units) })
      KINDS.know(:count, ->(number, _units) { number.to_i })
      KINDS.know(:number, ->(number, _units) { number.to_f.round(4) })

      # @param kind [Symbol] one of {KINDS}
      # @param from [Symbol] the method that answers it
      # @return [Figure]
      # @raise [Registry::Unknown]
      def self.declare(key, kind, label, from: key)
        KINDS.fetch(kind)
        new(key:, kind:, label:, from:)
      end

      # @return [Numeric] as the worked plan has it
      def written(number, units) = KINDS.fetch(kind).call(number, units)

      # @return [Hash] for the API
      def declare = {"key" => key.to_s, "kind" => kind.to_s, "label" => label}
    end
  end
end
