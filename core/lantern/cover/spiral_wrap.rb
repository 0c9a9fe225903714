# frozen_string_literal: true

module Lantern
  module Cover
    # A strip of ribbon, cloth or burlap wound round the band, each turn lapping the one before.
    # Cut the covering open along the run and it is a strip lying askew: at pitch p on girth g it
    # lies at the angle with tan a = g/p and covers w / sin a along the run.
    class SpiralWrap < Covering
      covering :spiral_wrap, title: "Spiral wrap", takes: %i[ribbon fabric mesh],
        summary: "A strip goes round and round, each turn lapping the one before."
      counts :turns, "turns"
      hand :wrap

      spread 0.06 # from memory

      option :lap, :length, zero: true, most: 48, label: "Lap at the wide edge", default_says: "a sixth of the strip's width",
        help: "How much a turn covers of the turn before it, where it is least."
      option :pieces, :choice, default: :continuous, label: "Lengths", choices: {continuous: "One long length", short: "Short strips"},
        help: "Short strips lie flatter on a tight curve; their joins are hidden behind."
      tested "Wind a few turns, measure, and these replace the sum."
      strips_from_cloth most: 120, default_says: "the ribbon's own, or 2 in from cloth"
      option :strip_length, :length, fine: true, label: "Strip length", default_says: "the sheet's length, or one turn for short strips"

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
          refuse("strip_width", "A strip #{text(strip_width)} wide cannot be cut from #{material.name}, which is #{text(material.width)} wide.")
        end
        refuse("lap", "A lap of #{text(lap)} leaves nothing of a strip #{text(lying)} wide.") if lap >= lying
        if covering_width >= form.girth
          refuse(strip_width ? "strip_width" : "material",
            "A strip #{text(lying)} wide is too wide to spiral round a band that is #{text(form.girth)} around; anything narrower than #{text(form.girth + lap.to_f)} winds, and up to #{text(form.girth / 3)} lies well.")
        end
        refuse_crowd(turns, "strip_width", "turns")
        refuse("strip_length", "A strip of #{text(strip_length)} is used up by its own join.") if strip_length && strip_length <= JOIN
        refuse_crowd(strips, "strip_length", "strips") if cut_strips?
      end

      # Width of the strip as it is cut.
      def width = strip_width || material.width || Rational(2)

      # Width of the strip as it lies on the band.
      def lying = width

      def lap = super || lying / 6

      def turns = @turns ||= (measured_advance ? form.crowded_run / measured_advance - 1e-9 : form.wide_run / pitch_for(covering_width) - 1e-9).ceil.clamp(1, nil)

      # How far a turn advances along the middle of the band.
      def pitch = form.run / turns

      # Length of one turn: the strip's own middle, integrated once round the section. On a curve of
      # curvature k a point x outside the middle goes (1 + k x) as far.
      def length_per_turn
        @length_per_turn ||= measured_turn || form.girth * mean_stretch
      end

      def wrap = turns * length_per_turn

      # With the fold-under at both ends.
      def length = wrap + 2 * FOLD

      def needs
        return [Need.run(material: material.id, what: "wrap", length:, join: JOIN, least: length_per_turn, spread: self.class.spread)] unless cut_strips?
        [Need.pieces(material: material.id, what: "strips", length: cut_length, count: strips, width: (width if material.sheets?), grain:, spread: self.class.spread)]
      end

      def figures
        {turns:, pitch:, lap_wide: lap_at(form.wide_run), lap_crowded: lap_at(form.crowded_run), length:, length_per_turn:,
         area: form.area, strips: (strips if cut_strips?), joins: (strips - 1 if cut_strips?), piece_length: (cut_length if cut_strips?)}.compact
      end

      def working
        [
          *lying_working,
          line("The strip, less the lap", "#{bare(lying)} − #{bare(lap)}", text(covering_width)),
          line("Once round the band", "girth", text(form.girth)),
          line("A turn then advances", "#{bare(covering_width)} × #{bare(form.girth)} ÷ √(#{bare(form.girth)}² − #{bare(covering_width)}²)", text(pitch_for(covering_width))),
          measured_advance ? line("Turns, by your test piece", "#{bare(form.crowded_run)} ÷ #{bare(measured_advance)}, rounded up", turns.to_s) : line("Turns along the wide edge", "#{bare(form.wide_run)} ÷ #{bare(pitch_for(covering_width))}, rounded up", turns.to_s),
          line("One turn, on the slant and round the curve", measured_turn ? "by your test piece" : "once round the section", text(length_per_turn)),
          line("All turns", "#{turns} × #{bare(length_per_turn)}", long_text(wrap)),
          line("Both ends folded under", "2 × #{bare(FOLD)}", text(2 * FOLD)),
          *(line("Strips, each join lapping #{text(JOIN)}", "#{long_text(length)} from lengths of #{bare(cut_length)}, #{text(left_of_last)} left of the last", strips.to_s) if cut_strips?)
        ]
      end

      def findings
        [*(test_piece_finding if test_piece), *thin_lap, *bulky_inside, *too_wide, *sheer_over_form, *twisting]
      end

      def steps
        [
          Bench::Step.new(id: "#{id}.test", title: "Wind one turn to try it", says: "Start at the back#{" on a crossbar" if form.base == :wire}. One turn takes about #{text(length_per_turn)} and moves on #{text(pitch)}.", minutes: 2),
          Bench::Step.new(id: "#{id}.wind", title: "Wind the strip", says: "Fold the end under, glue it behind, and lap each turn by #{text(lap_at(form.wide_run))} at the outside edge. Tack every few turns.", count: turns, unit: "turns", minutes: minutes - 4),
          Bench::Step.new(id: "#{id}.end", title: "Finish at the back", says: "Fold the last inch under and glue it behind.", minutes: 2)
        ]
      end

      # About half a minute a turn, and a minute a join (from memory).
      def minutes = 5 + turns * 0.5 + (cut_strips? ? strips : 0)

      def glue = turns / 3 * 0.5 + 2.0

      def lies
        [Draw::Bands.wound(form, id:, material:, turns:, width: lying.to_f)]
      end

      # Laps lie double.
      def thickness = 2 * material.thickness_or_guess.to_f * (width / lying)

      # How far it gets with this much: the share of the way round, at this lap.
      # @param on_hand [Numeric] inches
      # @return [Float] 0..1
      def way_round(on_hand) = ((on_hand - 2 * FOLD) / wrap).clamp(0.0, 1.0)

      # The widest lap that this much still allows, or nil when even no lap is too long.
      # @param on_hand [Numeric] inches
      # @return [Float, nil] inches
      def widest_lap(on_hand)
        fits = ->(turns) { turns * form.girth * mean_stretch(turns) + 2 * FOLD <= on_hand }
        least = (form.wide_run / pitch_for(lying) - 1e-9).ceil
        return unless fits.call(least)
        most = (least..MOST).bsearch { |turns| !fits.call(turns) } || MOST
        lap_at(form.wide_run, most - 1)
      end

      private

      def covering_width = lying - lap

      # The pitch that leaves the lap: p = w' g / sqrt(g^2 - w'^2).
      def pitch_for(covered) = covered.to_f * form.girth / Math.sqrt(form.girth**2 - covered.to_f**2)

      # The lap at an edge of this length, negative where it gapes: the same sum backwards.
      def lap_at(edge, turns = self.turns)
        pitch = edge / turns
        lying.to_f - pitch * form.girth / Math.sqrt(form.girth**2 + pitch**2)
      end

      # By how much a turn is longer than the girth, being on the slant.
      def mean_stretch(turns = self.turns)
        along = form.run / turns
        form.path.pieces.sum { |piece|
          piece.length / form.path.length * form.section.mean { |x| Math.sqrt(1 + ((1 + piece.curvature * x) * along / form.girth)**2) }
        }
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
        finding(:warn, "thin_lap", "At the outside edge a turn laps the last by only #{text([lap, 0].max)}; it will gape when the strip moves. An eighth of an inch or more holds.",
          at: "outside", try: {"lap" => "1/4 in"})
      end

      def bulky_inside
        share = lap_at(form.crowded_run) / lying
        return if share <= CROWDED_SHARE
        finding(:warn, "bulky_inside", "At the inside edge each turn lies #{(share * 100).round} hundredths over the last: bulky, and it pinches. A narrower strip, or strips cut on the bias, lie better.", at: "inside")
      end

      def too_wide
        inside = form.closed? ? form.tightest_inside_radius / 4 : Float::INFINITY
        limit, why = [[form.girth / 3, "a third of the way round the band"], [inside, "a quarter of the inside edge's radius"]].min_by(&:first)
        return if lying <= limit
        finding(:note, "puckers", "#{text(lying)} is wide for this form: past #{why}, #{text(limit)}, a strip puckers on the inside.", at: "inside")
      end

      def sheer_over_form
        return unless material.sheer
        finding(:note, "shows_through", "#{material.name} is sheer: the form shows through. Paint it or wrap it first in the same colour.")
      end

      def twisting
        return unless pieces == :continuous && material.kind == :ribbon && form.path.tightest_radius < 5 * lying
        finding(:note, "twists", "One long ribbon twists sideways round a curve this tight. Short strips, one turn each, stay flat.", try: {"pieces" => "short"})
      end
    end
  end
end
