# frozen_string_literal: true

module Lantern
  module Cover
    # A strip of ribbon, cloth or burlap wound round the band, each turn lapping the one before.
    # Cut the covering open along the run and it is a strip lying askew: at pitch p on girth g it
    # lies at the angle with tan a = g/p and covers w / sin a along the run. Nobody lays a strip nearly
    # lengthwise, so a turn advances by no more than the strip's own covering width (common practice); then a
    # strip as wide as the girth, or wider, is wound like any other.
    class SpiralWrap < Covering
      include Tested
      include Telling

      covering :spiral_wrap, title: "Spiral wrap", takes: %i[ribbon fabric mesh],
        summary: "A strip goes round and round, each turn lapping the one before."
      counts :turns, :turns
      hands :wrap, :test_fit
      shows turn: :length_per_turn, pitch: :pitch, lap: :lap_wide
      laid :band

      spread 0.06 # from memory

      option :lap, :length, zero: true, most: 48, label: "Lap at the wide edge",
        default_says: "a sixth of the strip's width",
        help: "How much a turn covers of the turn before it, where it is least."
      option :ease, :number, default: 0.0, least: 0.0, most: 0.05, fine: true, label: "Wound farther apart by",
        help: "0.01 is one in a hundred: as much as a hand gives without seeing it."
      option :pieces, :choice, default: :continuous, label: "Lengths",
        choices: {continuous: "One long length", short: "Short strips"},
        help: "Short strips lie flatter on a tight curve; their joins are hidden behind."
      tested_by "Wind a few turns, measure, and these replace the sum."
      strips_from_cloth most: 120, default_says: "the ribbon's own, or 2 in from cloth"
      option :strip_length, :length, fine: true, label: "Strip length",
        default_says: "the sheet's length, or one turn for short strips"

      runs_along

      figure :turns, :count, "Turns"
      figure :pitch, :length, "From turn to turn"
      figure :lap_wide, :length, "Lap at the wide edge"
      figure :lap_crowded, :length, "Lap at the crowded edge"
      figure :length, :length, "Strip in all"
      figure :length_per_turn, :length, "One turn"
      figure :area, :area, "To cover"
      figure :strips, :count, "Strips to cut", from: :strip_count
      figure :joins, :count, "Joins"
      figure :piece_length, :length, "Each strip"

      # Less than an eighth of an inch gapes (common practice).
      gives :lap, to: Rational(1, 8), says: "a lap of %s"
      # One in a hundred of a covering's length nobody sees (common practice).
      gives :ease, to: 0.01, by: 0.01, says: "the turns laid %s farther apart", percent: true
      gives :strip_width, share: 1.15, says: "strips %s wide"

      vary :lap, takes: :more, says: "The widest lap", most: :lying

      # Each end is folded under and glued; each join laps by as much (common practice).
      FOLD = 1
      JOIN = 1
      LEAST_LAP = 1 / 8r
      CROWDED_SHARE = 0.6

      def check
        super
        check_test_piece
        if strip_width && material.width && strip_width > material.width
          refuse("strip_width", "A strip #{text(strip_width)} wide cannot be cut from #{material.name}, which is " \
            "#{text(material.width)} wide.")
        end
        refuse("lap", "A lap of #{text(lap)} leaves nothing of a strip #{text(lying)} wide.") if lap >= lying
        refuse_crowd(turns, "strip_width", "turns")
        if strip_length && strip_length <= JOIN
          refuse("strip_length", "A strip of #{text(strip_length)} is used up by its own join.")
        end
        refuse_crowd(strips, "strip_length", "strips") if cut_strips?
      end

      def width = strip_width || material.width || Rational(2)

      # Width of the strip as it lies on the band.
      def lying = width

      def lap = super || lying / 6

      def turns = strand_turns.sum

      # @return [Array<Integer>] on every strand of the form
      def strand_turns
        @strand_turns ||= strand_runs.map { (_1 / (advance * (1 + ease)) - 1e-9).ceil.clamp(1, nil) }
      end

      # How far a turn may advance along the wide edge.
      def advance = measured_advance || covering_width

      # How far a turn advances along the middle of the band.
      def pitch = form.run / turns

      # Length of one turn: the strip's own middle, integrated once round the section. On a curve of
      # curvature k a point x outside the middle goes (1 + k x) as far.
      def length_per_turn
        @length_per_turn ||= measured_turn || form.girth * mean_stretch
      end

      def wrap = turns * length_per_turn

      # With the fold-under at both ends.
      def length = wrap + own_ends * FOLD

      def needs
        unless cut_strips?
          return [run(material: material.id, what: "wrap", length:, join: JOIN, least: length_per_turn)]
        end
        [pieces_of(:strips, material: material.id, length: cut_length, count: strips,
          width: (width if material.sheets?), grain:)]
      end

      def lap_wide = lap_at(form.wide_run)

      # Where the tight edge is shortest for its wide one; over a corner turns lie on one another anyway.
      def lap_crowded = lap_at(form.wide_run * tightest)

      def area = form.area

      # Strips to cut, their joins and their length; a continuous length has none.
      def strip_count = cut_strips? ? strips : nil

      def joins = cut_strips? ? strips - 1 : nil

      def piece_length = cut_strips? ? cut_length : nil

      def working
        [
          *lying_working,
          line(:covering_width, "The strip, less the lap", pencil("%l − %l", lying, lap), text(covering_width)),
          line(:girth, "Once round the band", "girth", text(form.girth)),
          line(:pitch, "A turn advances by no more than it covers", ease.zero? ? "" : "and #{percent(ease)} more",
            text(covering_width * (1 + ease))),
          line(:turns, measured_advance ? "Turns, by your test piece" : "Turns along the wide edge",
            sum_of(strand_runs.map { turns_sum(_1) }),
            turns.to_s),
          line(:length_per_turn, "One turn, on the slant and round the curve",
            measured_turn ? "by your test piece" : "once round the section", text(length_per_turn)),
          line(:wrap, "All turns", pencil("%n × %l", turns, length_per_turn), long_text(wrap)),
          line(:ends, (own_ends == 2) ? "Both ends folded under" : "Ends folded under that nothing there meets",
            pencil("%n × %l", own_ends, FOLD), text(own_ends * FOLD)),
          *(if cut_strips?
              line(:strips, "Strips, each join lapping #{text(JOIN)}",
                "#{long_text(length)} from lengths of #{bare(cut_length)}, #{text(left_of_last)} left of the last",
                strips.to_s)
            end)
        ]
      end

      def findings
        [*(test_piece_finding if test_piece), *thin_lap, *bulky_inside, *too_wide, *short_lengths, *sheer_over_form,
          *twisting]
      end

      def fixings = {glue: turns / 3 * 0.5 + 2.0}

      def closes = form.areas

      # A lap leaves nothing bare.
      def accepts = 0.0

      def mend(_corner) = ["lap the turns more", {"lap" => text([lap + lying / 8, lying * 3 / 4].min)}]

      def lies
        [Place::Bands.wound(form, id:, material:, turns: strand_turns, width: lying.to_f, kind: self.class.laid.first)]
      end

      # Laps lie double.
      def thickness = 2 * material.thickness_or_guess.to_f * (width / lying)

      private

      # How long every strand is where its turns are counted: on the crowded edge by a test piece, else on the wide one.
      # @return [Array<Float>] inches
      def strand_runs
        whole = measured_advance ? form.crowded_run : form.wide_run
        form.stretches.strands.map { whole * _1.wide / form.stretches.wide }
      end

      def covering_width = lying - lap

      def turns_sum(run)
        ease.zero? ? pencil("%l ÷ %l, rounded up", run, advance) :
          pencil("%l ÷ (%l + %p), rounded up", run, advance, ease)
      end

      # The tight edge as a share of the wide one, where it is the smallest; as a string says, on a ring.
      def tightest
        return form.crowded_run / form.wide_run if form.stretches.fans.empty?
        form.stretches.legs.flat_map(&:runs).select { _1.wide.positive? }.map { _1.crowded / _1.wide }.min || 1.0
      end

      # The lap at an edge of this length, negative where it gapes: what the strip covers on the slant, less the
      # pitch there.
      def lap_at(edge, turns = self.turns)
        pitch = edge / turns
        lying.to_f - pitch * form.girth / Math.sqrt(form.girth**2 + pitch**2)
      end

      # By how much a turn is longer than the girth, on the average: on the slant along the legs, and over a corner
      # by as much farther as it crosses it.
      def mean_stretch(turns = self.turns)
        longer = form.run / form.path.length
        wide = form.stretches.wide
        on_legs = form.stretches.legs.flat_map(&:runs).reject { _1.wide.zero? }.sum { |run|
          along = (run.to - run.from) * longer / (turns * run.wide / wide)
          run.wide * form.section.mean { |x| Math.sqrt(1 + ((1 + run.bend * x) * along / form.girth)**2) }
        }
        over_corners = form.stretches.fans.sum { |fan|
          fan.length * (1 + 2 * [fan.reach - form.face, 0.0].max / form.girth)
        }
        (on_legs + over_corners) / wide
      end

      def lying_working = []

      def cut_strips? = material.sheets? || pieces == :short || !strip_length.nil?

      def cut_length
        @cut_length ||= up_to_mark(strip_length || default_strip_length)
      end

      def default_strip_length
        return length_per_turn + JOIN if pieces == :short
        longest_sheet
      end

      # The fewest strips whose lengths, less a join between each two, reach the whole.
      def strips = @strips ||= strips_for(length, cut_length, JOIN)

      def left_of_last = strips * cut_length - (strips - 1) * JOIN - length

      def thin_lap
        lap = lap_at(form.wide_run)
        return if lap >= LEAST_LAP.to_f - 1e-9
        finding(:warn, "thin_lap", "At the outside edge a turn laps the last by only #{text([lap, 0].max)}; it will " \
          "gape when the strip moves. An eighth of an inch or more holds.",
          at: "outside", try: {"lap" => "1/4 in"})
      end

      def bulky_inside
        share = lap_crowded / lying
        return if share <= CROWDED_SHARE
        finding(:warn, "bulky_inside", "At the inside edge each turn lies #{(share * 100).round} % over the " \
          "last: bulky, and it pinches. A narrower strip, or strips cut on the bias, lie better.", at: "inside")
      end

      def too_wide
        inside = form.closed? ? form.tightest_inside_radius / 2 : Float::INFINITY
        limit, why = [[form.girth / 2, "half of the way round the band"],
          [inside, "half of the inside edge's radius"]].min_by(&:first)
        return if lying <= limit || limit <= 0
        finding(:note, "puckers", "#{text(lying)} is wide for this form: past #{why}, #{text(limit)}, a strip " \
          "puckers on the inside.", at: "inside")
      end

      # A strip that does not go once round is all joins.
      def short_lengths
        return unless cut_strips? && pieces != :short && cut_length < form.girth + JOIN
        finding(:warn, "short_strips", "Strips of #{text(cut_length)} do not go once round the band, " \
          "#{text(form.girth)}: every turn has a join. Cut them longer, or from another material.", at: "strip_length")
      end

      def sheer_over_form
        return unless material.sheer
        finding(:note, "shows_through",
          "#{material.name} is sheer: the form shows through. Paint it or wrap it first in the same colour.")
      end

      def twisting
        return unless pieces == :continuous && material.kind == :ribbon && form.path.tightest_radius < 5 * lying
        finding(:note, "twists", "One long ribbon twists sideways round a curve this tight. Short strips, one turn " \
          "each, stay flat.", try: {"pieces" => "short"})
      end
    end
  end
end
