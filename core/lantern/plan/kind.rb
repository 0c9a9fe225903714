# frozen_string_literal: true

module Lantern
  module Plan
    # A kind of material: what it is called, how it is sold, and what a maker says of it. Reading, ledger, CSV
    # and screens ask it, and nobody keeps a list of kinds.
    #
    # `sold` is `:length` (cut from a roll or package), `:sheet` (cut from cloth) or `:count` (counted, not
    # cut); `soft` kinds may be wired, sheer, directional; `fields` are those that make the kind what it is, `photo`
    # those that say what a photo of it shows.
    Kind = Value.define(:key, :title, :sold, :soft, :fields, :photo)

    class Kind
      ALL = Registry.new("kind of material")

      SOLD = %i[length sheet count].freeze

      SHEET = [
        Field::Length.new(:width, required: true, label: "Sheet width"),
        Field::Length.new(:length, required: true, label: "Sheet length")
      ].freeze

      # A piece on hand may taper: a sleeve, a trouser leg.
      HELD = [
        *SHEET,
        Field::Length.new(:end_width, label: "Width at its far end", help: "Where it tapers, as a sleeve does.")
      ].freeze

      PRICES = [
        Field::Money.new(:price, required: true, label: "Price"),
        Field::Money.new(:sale_price, label: "Sale price")
      ].freeze

      # Sales that come round, and the first of them; {Cost::Sale} reads them.
      SALES = [
        Field::Day.new(:sale_from, label: "On sale from"),
        Field::Count.new(:sale_every, most: 366, label: "And again every", help: "Days from one sale to the next.")
      ].freeze

      SHOP = Field::Text.new(:shop, most: 60, label: "Shop", help: "Where it is sold, in your own words.")

      SOFT = [
        Field::Length.new(:thickness, most: 1, label: "How thick",
          help: "Fold it in four, press, measure, divide by four."),
        Field::Switch.new(:wired, label: "Wired edges"),
        Field::Switch.new(:sheer, label: "Sheer or open weave"),
        Field::Switch.new(:directional, label: "Pattern has an up")
      ].freeze

      # Of what is laid flat, a photo is a piece of it.
      PHOTO = [
        Field::Picture.new(:picture, label: "A photo of it",
          help: "Laid flat, from straight above, filling the picture. It is drawn at its true scale."),
        Field::Length.new(:picture_width, most: 60, label: "The photo shows, across",
          default_says: "its width, or 4 in")
      ].freeze

      class << self
        # @raise [Registry::Unknown]
        def fetch(key) = ALL.fetch(key)

        # The kind that a document names.
        # @return [Kind, nil]
        def find(text) = ALL.find(text)

        # @return [Array<Hash>] every kind and its fields, for the API
        def declare = ALL.map(&:declare)

        private

        def know(key, title, sold:, soft: false, fields: [], photo: PHOTO)
          raise ArgumentError, "A kind is sold by #{SOLD.join(", ")}; not by #{sold}." unless SOLD.include?(sold)
          ALL.know(key, new(key:, title:, sold:, soft:, fields:, photo:))
        end
      end

      def lengthwise? = sold == :length

      def sheets? = sold == :sheet

      def counted? = sold == :count

      # @return [Array<Field>] what a material of this kind is made of
      def all_fields
        [*Material.common_fields(photo), *fields, *(soft ? SOFT : []), *lost_edge, stock_field, offers_field]
      end

      # @return [Hash] for the API
      def declare = {"kind" => key.to_s, "title" => title, "sold" => sold.to_s, "fields" => all_fields.map(&:declare)}

      private

      def lost_edge
        return [] unless sheets?
        [Field::Length.new(:lost_edge, zero: true, most: 6, label: "Lost at each edge",
          help: "Selvage, hem or frayed edge that is cut away.")]
      end

      def stock_field
        of = {
          sheet: -> { Field::Record.new(:piece, fields: HELD, label: "A piece on hand") },
          length: -> { Field::Length.new(:piece, label: "A length on hand") },
          count: -> { Field::Count.new(:piece, label: "A number on hand", least: 0, most: 100_000) }
        }.fetch(sold).call
        Field::List.new(:on_hand, of:, label: "On hand", most: 500)
      end

      def offers_field
        size = {
          sheet: SHEET,
          length: [Field::Length.new(:length, required: true, label: "Length of a package")],
          count: [Field::Count.new(:count, required: true, most: 100_000, label: "Number in a package")]
        }.fetch(sold)
        Field::List.new(:offers, label: "Offers", most: 12,
          of: Field::Record.new(:offer, fields: size + PRICES + SALES + [SHOP], label: "An offer"))
      end

      WIDTH = Field::Length.new(:width, required: true, label: "Width", help: "Edge to edge, laid flat.")
      THICK = Field::Length.new(:diameter, required: true, most: 12, label: "Thickness",
        help: "Across it; for a soft rope, lightly pressed.")
      STICK = Field::Length.new(:diameter, most: 2, label: "Stick thickness",
        help: "Sticks are sold 7 or 11 mm thick, 100 mm long.")
      # What a tie is, so that a fixing finds its material.
      SORT = Field::Choice.new(:sort, choices: {cable: "Cable ties", chenille: "Chenille stems"}, label: "Sort",
        help: "What the steps use is taken from it.")
      # What a coat is, and what it is put on with.
      COAT = [
        Field::Choice.new(:sort, choices: {paint: "Paint", paper: "Pasted paper", moss: "Moss"}, label: "Sort",
          help: "It says how the hands put it on."),
        Field::Reference.new(:with, kinds: %i[glue coat], label: "Put on with",
          help: "The paste or glue that it takes.")
      ].freeze
      # A thing is cut out of its photo: its outline from the upper left, right and down, and how high it is, both in
      # thousandths of its width.
      THING = [
        Field::Picture.new(:picture, outlined: true, label: "A photo of it",
          help: "On one plain colour. Tap that, and it is taken off."),
        Field::Length.new(:picture_width, most: 60, label: "Its width", default_says: "3 in"),
        Field::Record.new(:cut_out, label: "Cut out of its photo", fields: [
          Field::List.new(:outline, least: 3, most: 240, required: true, label: "Its outline",
            of: Field::List.new(:corner, least: 2, most: 2, label: "A corner",
              of: Field::Count.new(:far, least: 0, most: 50_000, label: "A place on its outline"))),
          Field::Count.new(:high, least: 20, most: 50_000, required: true, label: "The height of its photo")
        ])
      ].freeze
      private_constant :WIDTH, :THICK, :STICK, :SORT, :COAT, :THING

      know :ribbon, "Ribbon", sold: :length, soft: true, fields: [WIDTH]
      know :fabric, "Fabric", sold: :sheet, soft: true
      know :rope, "Rope or cord", sold: :length, fields: [THICK]
      know :mesh, "Mesh", sold: :length, soft: true, fields: [WIDTH]
      know :tie, "Ties", sold: :count, fields: [SORT]
      know :wire, "Wire", sold: :length, fields: [THICK]
      know :glue, "Glue", sold: :count, fields: [STICK]
      know :piece, "Pieces", sold: :count, photo: THING
      know :coat, "Coats", sold: :count, fields: COAT
      know :form, "Forms", sold: :count
    end
  end
end
