# frozen_string_literal: true

module Lantern
  module Plan
    # One material of a plan: what it is, how it is sold, and what of it is in the stash.
    # Lengths in inches, prices exact.
    Material = Value.define(:id, :kind, :name, :width, :length, :diameter, :thickness, :colour, :texture, :wired, :sheer,
      :directional, :lost_edge, :offers, :on_hand, :notes) do
      # @return [Boolean] whether it is cut from a roll or package, by length
      def lengthwise? = Material::LENGTHWISE.include?(kind)

      def sheets? = kind == :fabric

      # @return [Boolean] whether it is counted, not cut
      def counted? = !lengthwise? && !sheets?

      # How thick it lies, in inches. Half a millimetre where nobody measured (from memory: a plain
      # woven cotton or a grosgrain ribbon).
      def thickness_or_guess = thickness || Rational(1, 50)
    end

    class Material
      KINDS = {ribbon: "Ribbon", fabric: "Fabric", rope: "Rope or cord", mesh: "Mesh", tie: "Ties", wire: "Wire",
               glue: "Glue", piece: "Pieces", coat: "Coats"}.freeze

      LENGTHWISE = %i[ribbon rope mesh wire].freeze

      TEXTURES = {plain: "Plain", twist: "Twisted", herringbone: "Herringbone", weave: "Open weave", check: "Check",
                  stripe: "Stripe", dot: "Dots", lace: "Lace", net: "Net"}.freeze

      SHEET = [
        Field::Length.new(:width, required: true, label: "Sheet width"),
        Field::Length.new(:length, required: true, label: "Sheet length")
      ].freeze

      # A piece on hand may taper: a sleeve, a trouser leg.
      HELD = [*SHEET, Field::Length.new(:end_width, label: "Width at its far end", help: "Where it tapers, as a sleeve does.")].freeze

      PRICES = [
        Field::Money.new(:price, required: true, label: "Price"),
        Field::Money.new(:sale_price, label: "Sale price")
      ].freeze

      # The fields of each kind. Those that make a kind what it is are required: a rope has a
      # thickness, a ribbon a width.
      def self.fields(kind)
        own = case kind
        when :ribbon, :mesh then [Field::Length.new(:width, required: true, label: "Width", help: "Edge to edge, laid flat.")]
        when :rope, :wire then [Field::Length.new(:diameter, required: true, most: 12, label: "Thickness", help: "Across it; for a soft rope, lightly pressed.")]
        when :glue then [Field::Length.new(:diameter, most: 2, label: "Stick thickness", help: "Sticks are sold 7 or 11 mm thick, 100 mm long.")]
        else []
        end
        common_fields + own + soft_fields(kind) + ((kind == :fabric) ? [Field::Length.new(:lost_edge, zero: true, most: 6, label: "Lost at each edge", help: "Selvage, hem or frayed edge that is cut away.")] : []) + [stock_field(kind), offers_field(kind)]
      end

      # Reads one material on its own, as the stash keeps it.
      # @param document [Hash]
      # @return [Material]
      # @raise [Refused] with every problem found
      def self.check(document, units:)
        reading = Reading.new(units:)
        material = Reader.new(:material).read(document, "", reading)
        raise Refused.new(reading.problems) if reading.problems.any?
        material
      end

      # How a material's own document is understood: every length in it as a text, by its place, and
      # the lengths on hand as numbers, in these units.
      # @return [Hash] ready for JSON
      # @raise [Refused]
      def self.understood(document, units:)
        reading = Reading.new(units:)
        material = Reader.new(:material).read(document, "", reading)
        raise Refused.new(reading.problems) if reading.problems.any?
        {"lengths" => reading.lengths.to_h { |at, inches| [at.delete_prefix("."), Measure::Length.exact_text(inches, units:)] },
         "pieces" => material.lengthwise? ? material.on_hand.map { Measure::Length.in_units(_1, units) } : []}
      end

      # @return [Array<Hash>] every kind and its fields, for the API
      def self.declare
        KINDS.map { |kind, title| {"kind" => kind.to_s, "title" => title, "fields" => fields(kind).map(&:declare)} }
      end

      def self.common_fields
        [
          Field::Text.new(:id, required: true, most: 60, label: "Material id"),
          Field::Choice.new(:kind, choices: KINDS, required: true, label: "Kind of material"),
          Field::Text.new(:name, required: true, label: "Name"),
          Field::Colour.new(:colour, label: "Colour"),
          Field::Choice.new(:texture, choices: TEXTURES, label: "Texture"),
          Field::Text.new(:notes, most: 2000, blank: true, label: "Notes")
        ]
      end

      def self.soft_fields(kind)
        return [] unless %i[ribbon fabric mesh].include?(kind)
        [
          Field::Length.new(:thickness, most: 1, label: "How thick", help: "Fold it in four, press, measure, divide by four."),
          Field::Switch.new(:wired, label: "Wired edges"),
          Field::Switch.new(:sheer, label: "Sheer or open weave"),
          Field::Switch.new(:directional, label: "Pattern has an up")
        ]
      end

      def self.stock_field(kind)
        of = if kind == :fabric then Field::Record.new(:piece, fields: HELD, label: "A piece on hand")
        elsif LENGTHWISE.include?(kind) then Field::Length.new(:piece, label: "A length on hand")
        else Field::Count.new(:piece, label: "A number on hand", most: 100_000)
        end
        Field::List.new(:on_hand, of:, label: "On hand", most: 500)
      end

      def self.offers_field(kind)
        size = if kind == :fabric then SHEET
        elsif LENGTHWISE.include?(kind) then [Field::Length.new(:length, required: true, label: "Length of a package")]
        else [Field::Count.new(:count, required: true, most: 100_000, label: "Number in a package")]
        end
        Field::List.new(:offers, of: Field::Record.new(:offer, fields: size + PRICES, label: "An offer"), label: "Offers", most: 12)
      end

      private_class_method :common_fields, :soft_fields, :stock_field, :offers_field

      # Reads one material; its fields depend on its kind.
      class Reader < Field
        def read(value, at, reading)
          return reading.refuse(at, "A material must be an object with named fields; #{reading.quote(value)} is none.") unless value.is_a?(Hash)
          read = Record.new(:material, fields: fields_for(value), label: "A material").read(value, at, reading)
          return unless read[:kind]
          Material.new(**Material.members.to_h { [_1, nil] }, **read)
        end

        # @return [Array<Field>] what a material of this kind is made of
        def fields_for(value)
          Material.fields(value.is_a?(Hash) ? KINDS.keys.find { _1.to_s == value["kind"] } : nil)
        end
      end
    end
  end
end
