# frozen_string_literal: true

module Lantern
  module Place
    # What a layer asks of a material, for one wreath. Either a run, which may be joined from several lengths
    # at `join` inches a join but of nothing shorter than `least`, or so many pieces of one length, already up
    # to the mark, or so many of what is counted.
    #
    # `what` is what they are called, `one` what one of them is; `own_cut` says that the layer's own steps cut
    # it, so that it is not cut with the rest. `asker` is the number of the wreath that asks, when there are several;
    # `spares` are those of the pieces that the sum does not ask for; `freedom` how many degrees of freedom the spread
    # has where it was learned; `sparing` what its maker has to keep to where the material is only just enough, as in
    # "keep the loops to 9 in".
    Need = Value.define(:material, :what, :one, :shape, :length, :count, :width, :join, :least, :spread, :grain,
      :own_cut, :asker, :sparing, :spares, :freedom)

    class Need
      # How far a need lies about its sum when nobody has measured it (from memory).
      FIRST_SPREAD = 0.06

      class << self
        # @param what [String] what it is called, as in "coils"
        # @param length [Numeric] inches
        # @param join [Numeric] what each join costs
        # @param least [Numeric] the shortest length worth joining in
        # @return [Need]
        def run(material:, what:, length:, join: 1, least: 2 * join, spread: FIRST_SPREAD, sparing: nil)
          made(material:, what:, one: what, shape: :run, length: length.to_f, count: 1, join:, least:, spread:,
            sparing:)
        end

        # @param what [Symbol] one of {Unit}
        # @param of [String, nil] what stands behind it, as in " of 6 in" or ", Indigo tape"
        # @param length [Rational] inches, up to the mark
        # @param width [Rational, nil] when cut from sheets
        # @param grain [Symbol] which way they lie on cloth: `:any`, `:along`, `:across` or `:bias`
        # @return [Need]
        def pieces(material:, what:, length:, count:, of: nil, width: nil, **rest)
          made(material:, **named(what, of), shape: :pieces, length:, count:, width:, **rest)
        end

        # So many of what is counted, not cut; of what is used up by parts, a part of one.
        # @return [Need]
        def items(material:, what:, count:, of: nil)
          made(material:, **named(what, of), shape: :items, length: 1r, count:, spread: 0)
        end

        private

        def made(**given)
          new(**members.to_h { [_1, nil] }, spread: 0, grain: :any, own_cut: false, spares: 0, **given)
        end

        def named(what, of)
          unit = Unit.fetch(what)
          {what: "#{unit.many}#{of}", one: "#{unit.one}#{of}"}
        end
      end

      # @return [Numeric] inches in all (of what is counted, how many)
      def total = length * count

      def run? = shape == :run

      def items? = shape == :items

      # Whether it is cut to length before the work begins.
      def cut? = shape == :pieces

      # The same, asked for by one of several wreaths: its name behind it.
      def asked_by(name, number) = with(what: "#{what} (#{name})", one: "#{one} (#{name})", asker: number)

      # @return [Need] a share of it; whole things rounded down
      def share(part)
        return with(length: length * part) if run?
        with(count: count.is_a?(Integer) ? (count * part).floor : count * part)
      end

      def to_h(units)
        out = ->(inches) { inches && Measure::Length.in_units(inches, units) }
        {
          "material" => material, "what" => what, "shape" => (run? ? "run" : "pieces"), "count" => (count unless run?),
          "length" => (out.call(length) unless items?), "width" => out.call(width), "join" => out.call(join)
        }.compact
      end
    end
  end
end
