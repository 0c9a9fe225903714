# frozen_string_literal: true

module Lantern
  module Trim
    # A bow, at its place by the clock, said by its tails and loops: what ribbon it takes, what that ribbon must be
    # like, and whether it suits the wreath. Inside it is made up as a {Piece} is: of {Pieces::Part}s, by a
    # {Pieces::Making}.
    class Bow < Trimming
      TAKES = %i[ribbon fabric mesh rope].freeze

      trimming :bow, title: "Bow", takes: TAKES, several: true,
        summary: "Loops and tails of one ribbon, or of several on one another."
      counts :loops, :bow_loops
      # Wired edges hold a loop (common practice).
      prefers :wired
      hands :pinch_and_twist, :two_loops, :shoelace, :one_loop, :accordion, :folded_many, :flat_rings, :layered_rings,
        :stacked_strips, :tie_on
      shows tail: :tail, loop: :loop_size, centre: :centre_loop, fold: :loop_size, size: :loop_size,
        length: :strip_length
      laid :tail, :loop, :panel

      spread 0.05 # from memory

      option :kind, :choice, default: :pinch_and_twist, label: "Kind of bow",
        choices: -> { Pieces.bows.transform_values(&:title) }
      option :loops, :count, most: 60, label: "Loops, both sides together", default_says: "what is usual for the kind"
      option :loop_size, :length, most: 48, drawn: :loop, label: "Loop, laid flat",
        default_says: "what is usual for the kind", help: "A 4 in loop takes 8 in of ribbon."
      option :tail, :length, zero: true, most: 120, drawn: :tail, label: "Tail",
        default_says: "what is usual for the kind"
      option :strips, :count, most: 60, label: "Strips", default_says: "four", where: {kind: [:stacked_strips]}
      option :strip_length, :length, most: 120, label: "Each strip", default_says: "18 in",
        where: {kind: [:stacked_strips]}
      option :centre_loop, :length, zero: true, most: 24, label: "Loop in the centre", default_says: "none"
      option :twist, :length, zero: true, fine: true, default: 0r, most: 6, label: "A pinch takes",
        help: "Nought when you measure from pinch to pinch; half an inch is a guess otherwise."
      option :ribbons, :stack, fine: true, kinds: TAKES, label: "Ribbons on one another",
        default_says: "one of each material"
      option :at, :number, default: 6.0, most: 12.0, label: "At, by the clock",
        help: "Twelve is the top; drag it on the drawing."
      option :on, :layer, fine: true, label: "On another thing", default_says: "on the form itself",
        help: "A bow on a bow is made smaller than the one beneath."
      option :centre_band, :reference, kinds: TAKES, fine: true, label: "Band round the centre",
        help: "Wound until it covers the front."
      option :tie, :reference, kinds: %i[tie wire], fine: true, label: "Tied with"

      include Placed
      include Pieces::Composed
      include Judging

      figure :pieces, :count, "Pieces to cut"
      figure :loops, :count, "Loops in the bow", from: :loops_seen
      figure :piece_length, :length, "The first piece"
      figure :bow_width, :length, "How wide it is, tied"
      figure :ribbons, :count, "Ribbons on one another", from: :stacked
      figure :length, :length, "Ribbon in all"

      gives :tail, share: 0.85, says: "bow tails of %s"
      gives :loop_size, share: 0.85, says: "bow loops of %s"

      vary :loop_size, takes: :more, says: "The largest loops", most: :largest_loop
      vary :tail, takes: :more, says: "The longest tails"

      # What is usual of strips: four of 18 in (common practice).
      STRIPS = {strips: 4, strip_length: 18}.freeze
      # A wire to tie it with (from memory).
      WIRE = 6r

      def check
        super
        refuse_crowd(pieces, "strips", "pieces")
        check_beneath
        check_hour
        centre_band && other(centre_band, TAKES, "centre_band")
      end

      def made = @made ||= Pieces.bows.fetch(kind).new(self)

      # Of every ribbon, the widest undermost.
      # @return [Array<Pieces::Part>] in the order in which they lie
      def parts
        @parts ||= ribbons_of.flat_map { |ribbon, times| parts_of(ribbon, times) }
      end

      def loops = super || usual(:loops).to_i

      # On another bow an inch smaller a side, so that every layer shows (common practice).
      def loop_size = super || (below ? showing_beneath : usual(:loop_size))

      # Of a small bow half as large.
      def showing_beneath(under = below) = [under - 1, under / 2].max

      # Its loops are opened to a round.
      def stands_out = loop_size.to_f / 2

      # The loops of the bow that it sits on.
      def below = beneath && loops_of(beneath)

      def tail = super || usual(:tail)

      def strips = super || usual(:strips).to_i

      def strip_length = super || usual(:strip_length)

      # A centre loop of nought is none.
      # @return [Rational, nil]
      def centre_loop = super&.nonzero?

      def width = material.width || material.diameter || Pieces::CLOTH

      def largest_loop = form.silhouette.width.to_r.round(3)

      def others = [*stack, *[tie, centre_band].compact.map { @plan.material(_1) }]

      # Each ribbon, as often as it lies in the bow.
      # @return [Array<Plan::Material>]
      def stack
        return materials if ribbons.nil?
        ribbons.is_a?(Integer) ? materials * ribbons : ribbons.map { |id| other(id, TAKES, "ribbons") }
      end

      def needs = @needs ||= [*needs_of_parts(1), *middle_bands, *tying, *band]

      def ribbon_needs = needs.select { |need| stack.any? { _1.id == need.material } }

      def pieces = ribbon_needs.sum(&:count)

      def loops_seen = opened.size

      def piece_length = needs.first.length

      def bow_width = made.wide(opened, hanging)

      def stacked = stack.size

      def length = ribbon_needs.sum(&:total)

      def working
        [
          *parts.each_with_index.map { |part, i| part_line(part, i) },
          *bands.map { |ribbon, times, more|
            line(:"band_#{ribbon.id}", "Band round the middle", more.sum, text(times * more.length))
          },
          *(line(:ribbons, "Ribbons on one another", "", stacked.to_s) if stacked > 1),
          line(:length, "In all, each piece up to the mark",
            pencil(ribbon_needs.map { "%n × %l" }.join(" + "), *ribbon_needs.flat_map {
              [_1.count, _1.length]
            }), text(length))
        ]
      end

      # A bow that is tied round the band is on it when it is made.
      def steps
        says = [*parts.map { "#{_1.says}." }, *made.hands, *tie_told, *bands_told,
          "Dovetail the ends: fold each in half lengthwise and cut away from the fold."]
        making = step("make", tied_on? ? "Tie the bow #{where}" : "Make the bow", says.join(" "),
          minutes: 4.0 + loops * 0.5, move: made.class.move, moves: [made.class.move, :v_cut], lays: :bow_loops,
          look: made.class.look || "Are both sides alike, and is the good side out everywhere?")
        tied_on? ? [making] : [making.with(lays: nil, on_table: true), fixing]
      end

      # Half a stem ties a bow (common practice).
      def fixings
        return {} if made.round_band?
        {glue: 2.0, chenille: tie ? 0.0 : 0.5}
      end

      def lies
        TiedBow.new(form, id:, materials: stack.uniq, at:, tails: hanging, loops: opened,
          width: [width.to_f, 0.2].max).lies
      end

      # Whether making it ties it on.
      def tied_on? = made.round_band?

      # Round the band at its hour, or on what it sits on.
      def where
        return "on the #{beneath.kind.called(beneath.options)}, through its middle" if beneath
        tied_on? ? "round the band at #{clock}" : "at #{clock}"
      end

      def clock = Form::Clock.text(at)

      private

      # Each ribbon, and how often it lies in the bow.
      def ribbons_of = stack.tally.sort_by.with_index { |(ribbon, _), i| [-ribbon.width.to_f, i] }

      # @return [Array<Pieces::Part>]
      def parts_of(ribbon, times = 1)
        made.class.parts_of(self).map { |said|
          Pieces::PARTS.fetch(said[:as]).new({**said, count: (said[:count] || 1) * times}, material: ribbon,
            text: method(:measured), mark: method(:up_to_mark),
            more: [*pinches, *centre, *made.more_of(ribbon), *knot(ribbon)])
        }
      end

      def pinches
        return if twist.zero? || !made.gathered?
        Pieces::Part::More.new(length: (loops + 1) * twist, sum: "#{loops + 1} × #{measured(twist, unit: false)}")
      end

      def centre
        return unless centre_loop && made.gathered?
        Pieces::Part::More.new(length: 2 * centre_loop, sum: "2 × #{measured(centre_loop, unit: false)}",
          told: "a loop of #{measured(centre_loop)} at the centre")
      end

      # Tied through what it sits on, there is no band to go round.
      def knot(ribbon) = ([made.knot(ribbon)] if made.round_band? && beneath)

      # Of one ribbon: those in the same place have its colours by turns.
      def one = @one ||= parts_of(stack.first)

      def hanging = ends(one, Place::Lie::Tail)

      # The loop in the centre stands up.
      def opened = @opened ||= [*ends(one, Place::Lie::Loop), *(ends([in_the_centre]) if in_the_centre)]

      def in_the_centre
        return unless centre && one.any?(Pieces::Parts::Ribbon)
        Pieces::Parts::Loop.new({loop_size: centre_loop}, material:, text: method(:measured),
          mark: method(:up_to_mark))
      end

      # Whose middle a band of their own goes round.
      def bands = ribbons_of.filter_map { |ribbon, times| made.middle_band(ribbon)&.then { [ribbon, times, _1] } }

      def middle_bands
        several = stack.uniq.size > 1
        bands.map { |ribbon, times, more|
          pieces_of(:middle_bands, of: (", #{ribbon.name}" if several), material: ribbon.id,
            length: up_to_mark(more.length), count: times, width: (Pieces::CLOTH if ribbon.sheets?))
        }
      end

      def tie_told
        tie ? "#{@plan.material(tie).name} round the middle, pulled tight." : held_together(made.class.tied)
      end

      def bands_told = bands.map { |ribbon, _, more|
        "Close a band of #{text(more.length)} of #{ribbon.name} round the middle, its ends behind."
      }

      # As large as its plan says, or as what it sits on itself lets it be.
      def loops_of(said, deep = 0)
        return unless said.kind == self.class && deep <= @plan.layers.size
        under = @plan.layers.find { _1.id == said.options[:on] } if said.options[:on]
        under &&= loops_of(under, deep + 1)
        said.options[:loop_size] || (under && showing_beneath(under)) ||
          Pieces.bows.fetch(said.options[:kind]).bow.fetch(:loop_size).to_r
      end

      def usual(option) = Rational(made.class.bow.fetch(option) { STRIPS.fetch(option) })

      # Twice round what the ribbon bunches to, and a lap (from memory: wind one).
      BAND = 7r

      def band
        return [] unless centre_band
        wound = @plan.material(centre_band)
        [Place::Need.pieces(material: wound.id, what: :middle_bands, length: up_to_mark(BAND), count: 1,
          width: (Pieces::CLOTH if wound.sheets?))]
      end

      def tying
        return [] unless tie
        tied = other(tie, %i[tie wire], "tie")
        return [Place::Need.items(material: tied.id, what: :bow_ties, count: 1)] if tied.counted?
        [Place::Need.pieces(material: tied.id, what: :bow_wires, length: WIRE, count: 1)]
      end

      def fixing
        step("fix", "Fix the bow #{where}",
          "#{"Its stem through the middle of what it sits on. " if beneath}Tie it on with a chenille stem or wire " \
          "through the back; glue alone does " \
          "not hold a bow in the wind. Open the loops.", minutes: 2, move: :tie_on, lays: :bow_loops,
          look: "Does it sit at #{clock}, its tails hanging free?")
      end
    end
  end
end
