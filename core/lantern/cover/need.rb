# frozen_string_literal: true

module Lantern
  module Cover
    # What a layer asks of a material, for one wreath. Either a run, which may be joined from several
    # lengths at `join` inches a join but of nothing shorter than `least`, or so many pieces of one length, already up to the mark.
    Need = Value.define(:material, :what, :shape, :length, :count, :width, :join, :least, :spread, :grain) do
      def initialize(grain: :any, **given) = super

      class << self
        # @param length [Numeric] inches
        # @param join [Numeric] what each join costs
        # @param least [Numeric] the shortest length worth joining in
        def run(material:, what:, length:, join: 1, least: 2 * join, spread: Covering::FIRST_SPREAD)
          new(material:, what:, shape: :run, length: length.to_f, count: 1, width: nil, join:, least:, spread:)
        end

        # @param length [Rational] inches, up to the mark
        # @param width [Rational, nil] when cut from sheets
        # @param grain [Symbol] which way they lie on cloth: `:any`, `:along`, `:across` or `:bias`
        def pieces(material:, what:, length:, count:, width: nil, grain: :any, spread: Covering::FIRST_SPREAD)
          new(material:, what:, shape: :pieces, length:, count:, width:, join: nil, least: nil, spread:, grain:)
        end

        # So many of what is counted, not cut.
        def items(material:, what:, count:) = new(material:, what:, shape: :items, length: 1r, count:, width: nil, join: nil, least: nil, spread: 0)
      end

      # @return [Numeric] inches in all (of what is counted, how many)
      def total = length * count

      def run? = shape == :run

      def to_h(units)
        out = ->(inches) { inches && Measure::Length.in_units(inches, units) }
        {"material" => material, "what" => what, "shape" => (run? ? "run" : "pieces"), "count" => (count unless run?), "length" => (out.call(length) unless shape == :items),
         "width" => out.call(width), "join" => out.call(join)}.compact
      end
    end
  end
end
