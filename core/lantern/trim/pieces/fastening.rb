# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # What a piece is fixed on with, one of possibly several: what that holds, how the hands go, and what it takes.
      # Grams are from memory: pull at it before it hangs.
      class Fastening
        # `holds` in grams for one; `says` how the hands go, `%s` what with; `sort` as of {Layer#fixings}; `length` of
        # what is cut for one, in inches.
        Way = Value.define(:title, :holds, :says, :sort, :unit, :length, :move) do
          def initialize(sort: nil, unit: nil, length: nil, move: :tie_on, **rest) = super
        end

        WAYS = {
          glue: Way.new(title: "Glue", holds: 60, sort: :glue, move: :tack,
            says: "glue it on and hold it until it has set"),
          stem: Way.new(title: "Chenille stem", holds: 200, sort: :chenille, unit: :stems, length: 12r,
            says: "%s through its back and round the form, twisted behind"),
          wire: Way.new(title: "Wire", holds: 1000, sort: :wire, unit: :wires, length: 12r,
            says: "%s through it and round the form, twisted behind, its ends turned in"),
          hairpin: Way.new(title: "Hairpin of stiff wire", holds: 300, sort: :wire, unit: :hairpins, length: 6r,
            move: :hairpin,
            says: "%s over its middle and into the form, the ends bent behind"),
          tie: Way.new(title: "Cable tie", holds: 400, sort: :cable, unit: :ties, length: 6r, move: :cable_tie,
            says: "%s round it and the form, pulled tight and cut short behind"),
          cord: Way.new(title: "Cord", holds: 500, unit: :cords, length: 12r,
            says: "%s round the form, a double knot behind"),
          twisted: Way.new(title: "The form’s own tie", holds: 200,
            says: "twist the form’s own tie round its middle"),
          pushed: Way.new(title: "Pushed in", holds: 100, move: :push_in, says: "push its stem in until it sits")
        }.freeze
        # Inches of bead for what is glued on, a tack (from memory).
        TACK = 1.0

        class << self
          # @return [Plan::Field::Record]
          def field
            Plan::Field::Record.new(:fixing, label: "A fixing", fields: [
              Plan::Field::Choice.new(:with, required: true, label: "With", choices: WAYS.transform_values(&:title)),
              Plan::Field::Reference.new(:material, kinds: Piece::TAKES, label: "Of"),
              Plan::Field::Number.new(:count, default: 1.0, least: 0.0, most: 60.0, above: true, label: "How many")
            ])
          end

          # A number of things, whole where it is.
          # @param number [Rational]
          # @return [Integer, Float]
          def whole(number) = (number.denominator == 1) ? number.to_i : number.to_f
        end

        # @return [Plan::Material, nil] what it is charged to
        attr_reader :material

        # @param said [Hash]
        # @param material [Plan::Material, nil]
        def initialize(said, material)
          @said, @material = said, material
        end

        def with = @said[:with]

        def way = WAYS.fetch(with)

        # @return [Rational] of one piece, by halves
        def count = (@said[:count] || 1).to_r.round(3)

        # @return [Numeric] grams
        def holds = way.holds * count

        def sort = way.sort

        # What it takes of its material, for so many pieces; nothing where none is said.
        # @return [Place::Need, nil]
        def need(pieces)
          return unless material && way.unit
          named = {material: material.id, what: way.unit, of: " to fix with"}
          return Place::Need.items(**named, count: Fastening.whole(count * pieces)) if material.counted?
          Place::Need.pieces(**named, length: way.length, count: (count * pieces).ceil,
            width: (CLOTH if material.sheets?))
        end

        # @return [String] as in "2 cable ties round it and the form"
        def says
          format(way.says, Place::Unit.fetch(way.unit || :wires).amount_says(count))
        end
      end
    end
  end
end
