# frozen_string_literal: true

module Lantern
  module Trim
    # Whatever is made up by hand or bought, and fixed on: bows, bundles, curls, tufts, swags, picks, signs, balls. It
    # is composed: its parts ({Pieces::Part}), how they are made up ({Pieces::Making}), what ties it, how many and where
    # ({Pieces::Places}), and what holds it on the form ({Pieces::Fastening}).
    class Piece < Trimming
      TAKES = %i[ribbon fabric mesh rope tie wire piece].freeze

      trimming :piece, title: "Bow, bundle, swag or other piece", takes: TAKES, several: true,
        summary: "Of what it is made, how, where, and what holds it."
      counts :pieces, :pieces_to_make
      prefers :wired
      takes_first :making, swag: :piece, bought: :piece
      hands :pinch_and_twist, :two_loops, :shoelace, :crossed, :one_loop, :accordion, :folded_many, :flat_rings,
        :layered_rings, :rings, :rosette, :stacked_strips, :cone, :bundle, :tuft, :swag, :tie_on, :cable_tie,
        :hairpin, :sign_on, :push_in, :tack
      laid :tail, :loop, :tube, :curl, :ball, :sprig, :board, :tag, :cut_out, :panel, :cord

      spread 0.05 # from memory

      # More parts nobody makes up to one.
      MOST_PARTS = 24
      # Half a stem ties a bow (common practice).
      HALF = 0.5r

      option :name, :text, most: 60, label: "What you call it"
      option :making, :choice, default: :pinch_and_twist, label: "How it is made",
        choices: -> { Pieces::MAKINGS.to_h.transform_values(&:title) }
      option :parts, :list, most: MOST_PARTS, label: "Its parts", default_says: "what is usual, of the material above",
        help: "In the order in which they lie, undermost first.", of: Pieces::Part.field
      option :tie, :either, label: "What ties it", default_says: "what is usual for the making",
        words: {own: "Its own strip", glue: "Glue", none: "Nothing"}, record: Plan::Field::Record.new(:tie, fields: [
          Plan::Field::Reference.new(:material, kinds: TAKES, required: true, label: "Of"),
          Plan::Field::Number.new(:count, least: 0.0, most: 60.0, above: true, label: "How many, of one piece"),
          Plan::Field::Length.new(:length, most: 120, label: "How long, of one piece")
        ], label: "What ties it")
      option :centre_band, :record, fine: true, label: "Band round the centre", fields: [
        Plan::Field::Reference.new(:material, kinds: TAKES, required: true, label: "Of"),
        Plan::Field::Count.new(:windings, default: 2, most: 12, label: "Windings")
      ]
      option :count, :count, most: 500, label: "How many", default_says: "one, or as many as the spacing fits"
      option :at, :spot, along: true, most: 12.0, label: "At, by the clock", default_says: "six o’clock, or all round"
      option :drop, :length, where: {at: [:middle]}, most: 240, drawn: :cord,
        label: "Hangs in the opening by", default_says: "a third of the opening"
      option :cord, :reference, where: {at: [:middle]}, kinds: %i[rope ribbon wire], label: "On what cord"

      include Spread

      option :rail, :choice, open: true, fine: true, label: "On which rail",
        choices: {outer: "The outer", inner: "The inner"}
      option :sides, :either, fine: true, default: :face, label: "Where they sit",
        words: {face: "On the face", alternate: "In and out by turns"},
        record: Plan::Field::Record.new(:sides, fields: [
          Plan::Field::Count.new(:in, default: 1, most: 12, label: "Inside"),
          Plan::Field::Count.new(:out, default: 2, most: 12, label: "Outside")
        ], label: "Where they sit")
      option :on, :one_or_several, fine: true, label: "On another thing", default_says: "on the form itself",
        of: Plan::Field::LayerId.new(:on, label: "On another thing")
      option :on_at, :choice, open: true, fine: true, default: :centre, label: "Where on it",
        choices: {centre: "Its centre", **Pieces::Places::CORNERS.to_h { |corner, _|
          [corner, "Its #{corner.to_s.tr("_", " ")} corner"]
        }}
      option :fixing, :list, most: 8, label: "Fixed with", default_says: "what is usual", of: Pieces::Fastening.field
      option :weight, :weight, label: "Weighs, each", help: "250 g or 8 oz; a kitchen scale says."
      option :size, :length, most: 120, label: "Across, each", default_says: "what its parts come to"

      include Placed
      include Pieces::Composed
      include Pieces::Telling
      include Pieces::Drawing
      include Pieces::Judging
      include Pieces::Enlarging

      figure :pieces, :count, "Pieces to make"
      figure :length, :length, "All that is cut, end to end"
      figure :piece_length, :length, "What is cut for one"
      figure :pitch, :length, "From one to the next", from: :spaced

      def self.called(options) = options[:name] || Pieces::MAKINGS.fetch(options[:making]).called

      # @return [Float] grams
      def self.weight_of(options)
        one = options[:weight] || (options[:parts] || []).sum { (_1[:weight] || 0.0) * (_1[:count] || 1) }
        one * (options[:count] || 1)
      end

      def check
        refuse("materials", "A piece has #{MOST_PARTS} parts at most, one of each material.") if parts.size > MOST_PARTS
        parts.each_with_index { |part, i| check_part(part, i) }
        check_beneath
        check_hour
        check_places
        refuse_crowd(pieces * [parts.sum(&:count), 1].max, "count", "parts")
      end

      def made = @made ||= Pieces::MAKINGS.fetch(making).new(self)

      # A part that names no material has the layer's; of several, in turn. When no parts are said there is at least
      # one of each, the widest undermost.
      # @return [Array<Pieces::Part>] in the order in which they lie, the undermost first
      def parts
        @parts ||= super.any? ? with_parts(super) : with_parts(made.class.usual_of(materials.size), widest_first)
      end

      # @return [Array<Pieces::Fastening>]
      def fastenings
        @fastenings ||= ((said?(:fixing) && fixing.any?) ? fixing : made.class.fixed)
          .map { Pieces::Fastening.new(_1, _1[:material] && @plan.material(_1[:material])) }
      end

      # On the rail that is meant, or on all of them.
      def ties = rail ? form.ties : super

      def places = @places ||= Pieces::Places.new(self, form, size)

      def pieces = @pieces ||= places.count

      def weighs = grams * pieces

      # Loops are opened to a round.
      def stands_out = parts.filter_map(&:loop_size).max.to_f / 2

      def others
        named = [*parts.map(&:material), *fastenings.map(&:material), *[tie_said, centre_band].grep(Hash)
          .map { @plan.material(_1[:material]) }, *(@plan.material(cord) if cord)]
        named.compact.uniq - materials
      end

      def needs = @needs ||= [*of_making, *of_fixing]

      # What the making takes up, and what the fixing on does.
      def of_making = @of_making ||= [*needs_of_parts(pieces), *tying, *band]

      def of_fixing = @of_fixing ||= [*fastenings.filter_map { _1.need(pieces) }, *hung]

      # Without a material it is told and listed, and charged to nothing.
      def fixings
        return @fixings if @fixings
        given = fastenings.reject(&:material).select(&:sort)
        counted = given.reject { _1.with == :glue }.group_by(&:sort)
          .transform_values { |same| same.sum(&:count) * pieces }
        stem = (tie_said == :stem) ? HALF * pieces : 0
        @fixings = {**counted, chenille: counted.fetch(:chenille, 0) + stem}
          .transform_values { Pieces::Fastening.whole(_1.to_r) }.merge(glue:)
      end

      def length = required.select(&:cut?).sum(&:total)

      def piece_length = parts.filter_map { |part| part.length&.*(part.count) }.sum

      def spaced = (pieces > 1) ? places.pitch : nil

      def fixings_charged? = false

      # @return [Numeric] inches across one of them
      def size = @size ||= super || reach.ceil(2).to_r

      def working
        [
          *parts.each_with_index.map { |part, i| part_line(part, i) },
          line(:count, "How many", places.says, pieces.to_s),
          *(line(:length, "All that is cut, for all of them", "", text(length)) if length.positive?),
          *(line(:weight, "One weighs", "", "#{grams.round} g") if grams.positive?),
          *(if grams.positive?
              line(:holds, "What holds it",
                fastenings.map { "#{_1.way.title.downcase} #{_1.holds.round} g" }.join(" + "),
                "#{holds.round} g, from memory")
            end)
        ]
      end

      def looped? = parts.any?(&:loop_size)

      # What it is called: by its maker, or by how it is made, or what it was bought as.
      def called = name || (made.made? ? made.class.called : parts.first.name)

      private

      def widest_first = materials.sort_by.with_index { |each, i| [-each.width.to_f, i] }

      # @param turns [Array<Plan::Material>] of which those are made, by turns, that name none
      def with_parts(said, turns = materials)
        said.each_with_index.map { |part, i|
          own = part[:material] ? @plan.material(part[:material]) : turns[i % [turns.size, 1].max]
          Pieces::PARTS.fetch(part[:as] || :ribbon).new(part, material: own, text: method(:measured),
            mark: method(:up_to_mark), more: made.more_of(own))
        }
      end

      def glue
        tacks = fastenings.count { _1.with == :glue } * Pieces::Fastening::TACK
        (tacks + ((tie_said == :glue) ? 2.0 : 0.0)) * pieces
      end

      def tie_said = tie || made.class.tied

      def reach
        items = parts.grep(Pieces::Parts::Item).map { _1.size.to_f * [_1.count, 2].min }
        [*ends(parts).map { |way, far| 2 * far * Math.cos(way).abs }, *items, 1.0].max
      end

      def grams = weight || parts.sum { _1.grams * _1.count }

      def holds = fastenings.sum(&:holds)

      def tying
        return [] unless tie_said.is_a?(Hash)
        of = @plan.material(tie_said[:material])
        if of.counted?
          count = Pieces::Fastening.whole((tie_said[:count] || 1).to_r.round(3) * pieces)
          return [Place::Need.items(material: of.id, what: {chenille: :stems}.fetch(of.sort, :ties),
            of: " for the middle", count:)]
        end
        return [] if tie_said[:length].nil? && tie_said[:count].nil? && of.kind != :wire
        length = tie_said[:length] || Pieces::Fastening::WAYS[:hairpin].length
        [Place::Need.pieces(material: of.id, what: :cords, of: " to tie with", length: up_to_mark(length),
          count: pieces, width: (Pieces::CLOTH if of.sheets?))]
      end

      # Wound so often, each time twice the width that the centre bunches to (from memory: wind one).
      def band
        return [] unless centre_band
        wound = @plan.material(centre_band[:material])
        each = centre_band[:windings] * 3r + 1
        [Place::Need.pieces(material: wound.id, what: :middle_bands, length: up_to_mark(each), count: pieces,
          width: (Pieces::CLOTH if wound.sheets?))]
      end

      def hung
        return [] unless at == :middle && cord
        [Place::Need.pieces(material: cord, what: :hangers, length: up_to_mark(2 * places.drop + 4), count: 1)]
      end

      def check_part(part, number)
        at = "parts.#{number}"
        strange = part.strange.first
        if strange
          refuse("#{at}.#{strange}",
            "#{part.class.title} has no #{Pieces::Part::FIELDS[strange].label.downcase}.")
        end
        refuse("#{at}.material", "This part needs a material.") if part.length && part.material.nil?
        if part.length && part.material.counted?
          refuse("#{at}.material", "#{part.material.name} is counted, not cut: it goes on as it is (“item”).")
        end
        refuse("#{at}.loop_size", "This comes to no length.") if part.length&.zero?
      end

      def check_places
        check_spread(said?(:count) && !@said.options[:at])
        refuse("at", "This form is open: nothing can hang in its middle.") if at == :middle && !form.closed?
        along = at.is_a?(Hash) && at[:along]
        refuse("at.along", "The band is #{text(form.run)} long.") if along && along > form.run
      end
    end
  end
end
