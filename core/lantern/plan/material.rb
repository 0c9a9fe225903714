# frozen_string_literal: true

module Lantern
  module Plan
    # One material of a plan: what it is, how it is sold, and what of it is in the stash.
    # Lengths in inches, prices exact. `kind` is the key of its {Kind}.
    Material = Value.define(:id, :kind, :name, :width, :length, :diameter, :thickness, :colour, :texture, :repeat,
      :picture, :picture_width, :cut_out, :wired,
      :sheer, :directional, :lost_edge, :sort, :put_on_with, :offers, :on_hand, :notes, :tried) do
      # @return [Boolean] whether it is cut from a roll or package, by length
      def lengthwise? = Kind.fetch(kind).lengthwise?

      def sheets? = Kind.fetch(kind).sheets?

      # @return [Boolean] whether it is counted, not cut
      def counted? = Kind.fetch(kind).counted?

      # Whether its photo shows it alone, cut out along its outline.
      def cut_out? = !(picture.nil? || cut_out.nil?)

      # How thick it lies, in inches. Half a millimetre where nobody measured (from memory: a plain
      # woven cotton or a grosgrain ribbon).
      def thickness_or_guess = thickness || Rational(1, 50)
    end

    class Material
      TEXTURES = {
        plain: "Plain", twist: "Twisted", herringbone: "Herringbone", weave: "Open weave", check: "Check",
        stripe: "Stripe", dot: "Dots", lace: "Lace", net: "Net"
      }.freeze

      # What somebody found who practised a covering with it: the covering's own test piece, its lengths as texts with
      # their units, and seconds for one.
      TRIED = Field::Record.new(:try, label: "A try", fields: [
        Field::Text.new(:method, required: true, most: 60, label: "Method"),
        Field::Anything.new(:test_piece),
        Field::Number.new(:seconds, least: 0.1, most: 36_000.0, label: "Seconds for one"),
        Field::Day.new(:on, label: "On")
      ])

      class << self
        # Reads one material on its own, as the stash keeps it.
        # @param document [Hash]
        # @return [Material]
        # @raise [Refused] with every problem found
        def check(document, units:) = read_alone(document, Reading.new(units:))

        # How a material's own document is understood: every length in it as a text, by its place, and
        # the lengths on hand as numbers, in these units.
        # @return [Hash] ready for JSON
        # @raise [Refused]
        def understood(document, units:)
          reading = Reading.new(units:)
          material = read_alone(document, reading)
          lengths = reading.lengths.to_h { |at, inches| [at, Measure::Length.exact_text(inches, units:)] }
          pieces = material.lengthwise? ? material.on_hand.map { Measure::Length.in_units(_1, units) } : []
          {"lengths" => lengths, "pieces" => pieces}
        end

        # @param photo [Array<Field>] how its photo is kept
        # @return [Array<Field>] what every material has, whatever its kind
        def common_fields(photo = Kind::PHOTO)
          [
            Field::Text.new(:id, required: true, most: 60, label: "Material id"),
            Field::Choice.new(:kind, required: true, label: "Kind of material",
              choices: -> { Kind::ALL.to_h.transform_values(&:title) }),
            Field::Text.new(:name, required: true, label: "Name"),
            Field::Colour.new(:colour, label: "Colour"),
            *photo,
            Field::Choice.new(:texture, choices: TEXTURES, label: "Texture"),
            Field::Length.new(:repeat, most: 24, label: "Its pattern repeats every",
              help: "From one stripe, check or dot to the next."),
            Field::Text.new(:notes, most: 2000, blank: true, label: "Notes"),
            Field::List.new(:tried, of: TRIED, most: 30, label: "Tried")
          ]
        end

        private

        def read_alone(document, reading)
          material = Reader.new(:material).read(document, "", reading)
          raise Refused.new(reading.problems) if reading.problems.any?
          material
        end
      end

      # Reads one material; its fields depend on its kind.
      class Reader < Field
        def read(value, at, reading)
          unless value.is_a?(Hash)
            return reading.refuse(at,
              "A material must be an object with named fields; #{reading.quote(value)} is none.")
          end
          read = record(value).read(value, at, reading)
          return unless read[:kind]
          Material.new(**Material.members.to_h { [_1, nil] }, **read.transform_keys(with: :put_on_with))
        end

        # @return [Array<Field>] what a material of this kind is made of
        def fields_for(value)
          kind = Kind.find(value["kind"]) if value.is_a?(Hash)
          kind ? kind.all_fields : [*Material.common_fields, *LISTS]
        end

        # Of a material of no known kind: that it has lists, and nothing of what is in them.
        LISTS = %i[on_hand offers].map { |name| Anything.new(name) }.freeze
        private_constant :LISTS

        private

        # Made once for every kind.
        def record(value)
          (@records ||= {})[Kind.find(value["kind"])&.key] ||=
            Record.new(:material, fields: fields_for(value), label: "A material")
        end
      end
    end
  end
end
