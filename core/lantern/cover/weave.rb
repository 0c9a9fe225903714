# frozen_string_literal: true

module Lantern
  module Cover
    # Rope woven over and under the rails, every row the other way from the one before. Between rails
    # it lies as a crossed belt between equal pulleys.
    # Source: the crossed-belt formulas, any engineering handbook.
    class Weave < Covering
      include Tested

      covering :weave, title: "Over and under", takes: %i[rope],
        summary: "Rope woven over and under the rails; slow, and it closes best."
      counts :passes, :passes
      hands :over_under
      laid :cord

      spread 0.08 # from memory

      option :squash, :number, fine: true, default: 1.0, least: 0.3, most: 1.5, label: "Closing up",
        help: "How wide a turn lies against the rope's own thickness."
      option :stiffness, :number, fine: true, default: 1.0, least: 1.0, most: 2.0, label: "Stiffness",
        help: "1 gives at the crossings; hard rope, about 1.6, jams sooner. A guess: weave a few passes."

      option :fan, :count, fine: true, least: 0, most: 60, label: "Passes over a corner",
        default_says: "as many as close it",
        help: "Besides those beside it, over every corner; they close what fans open at a point."

      runs_along

      tested_by "Weave a few passes, measure, and these replace the sum."

      figure :passes, :count, "Passes"
      figure :fanned, :count, "Passes over corners"
      figure :pitch, :length, "From pass to pass"
      figure :length_per_turn, :length, "One pass"
      figure :gap_wide, :length, "Gap at the wide edge"
      figure :length, :length, "Rope in all"

      JOIN = 1
      ENDS = 2
      # To pull an inch of it through (from memory).
      SECONDS = 10

      def check
        super
        check_test_piece
        refuse("method", "Only a wire frame can be woven: this form has no rails.") unless form.base == :wire
        tight = spacings.min
        if tight <= rail_diameter * 1.5
          refuse("method", "The rails lie #{text(tight)} apart: too close to weave any cord between them. Fewer " \
            "rails, or a rope coil, would do.")
        end
        if tight <= 2 * reach + 1e-9
          refuse("material", "Rope #{text(diameter)} thick does not pass between rails that are #{text(tight)} " \
            "apart; anything thinner than #{text([tight - rail_diameter, 0].max)} does.")
        end
        if passes < 1
          refuse("material", "Not one turn of #{material.name} fits along the inside edge, #{text(form.crowded_run)}.")
        end
        refuse_crowd(passes, "material", "passes")
      end

      def diameter = material.diameter.to_f

      def rails = form.section.rails

      # From one rail's middle to the next.
      def spacings = @spacings ||= rails.each_cons(2).map { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }

      # The rope's own middle keeps this far from a rail's.
      def reach = diameter / 2 + form.section.rail_radius

      # Two passes to a turn: at an edge rail one turn joins two, which lie above one another there. Over a corner
      # those beside it are pushed together, unless the maker adds some.
      # Source: common practice, on a clover of three rails.
      def passes = 2 * turns + fan_passes.sum

      # Turns side by side on the crowded edge of the legs, or as many as the crossings of the tightest bay let
      # through.
      def turns = leg_turns.sum

      # @return [Array<Integer>] turns on every leg
      def leg_turns = @leg_turns ||= legs.map { [fitting(_1), jamming(_1)].min }

      # A gap over a corner is accepted up to so many thicknesses of the rope (common practice).
      CORNER_GAP = 1.5

      # Passes over every corner: as many as were said, over all rails; or as lie no farther apart on the wide edge than
      # is accepted. At the pivot there is hardly room for them: untold they go over the two rails on the wide side
      # alone (common practice).
      # @return [Array<Integer>]
      def fan_passes = form.stretches.fans.map { |each|
        fan || [(each.length / (advance + [gap_wide, CORNER_GAP * diameter].max)).round - 1, 0].max
      }

      def fanned = fan_passes.sum.zero? ? nil : fan_passes.sum

      def fitting(leg) = (leg.crowded * crowding / advance + 1e-9).floor

      # Rope that does not give jams where it crosses: halfway between the rails that are closest on the crowded
      # side (from memory).
      def jamming(leg) = (between_rails(leg) / (diameter * stiffness) + 1e-9).floor

      # Along the middle of the tightest bay.
      def between_rails(leg) = leg.runs.sum { (_1.to - _1.from) * [1 - _1.bend.abs * middle_of_bay.abs, 0.0].max }

      def advance = measured_advance || diameter * squash

      # How far from the middle of the band the bay on the crowded side lies.
      def middle_of_bay = rails.first(2).sum(&:first) / 2

      # A pass crosses the face once.
      def least_turn = form.face * 0.9

      def pitch = form.run / passes

      # One pass across the face, and round the edge rail to come back: taut, straight between rails,
      # turning through twice the slant over each rail between, and half round and twice the slant more
      # at the edge.
      def length_per_turn
        @length_per_turn ||= measured_turn || begin
          slants = spacings.map { Math.asin(2 * reach / _1) }
          straight = spacings.sum { Math.sqrt(_1**2 - (2 * reach)**2) }
          over = slants.each_cons(2).sum { |a, b| a + b } * reach
          edge = reach * (Math::PI + slants.first + slants.last)
          Math.hypot(straight + over + edge, pitch)
        end
      end

      def length
        legs = passes - fan_passes.sum
        over = form.stretches.fans.zip(fan_passes)
          .sum { |each, count| count * (fan ? long_turn(each) : short_turn(each)) }
        legs * length_per_turn + ENDS + over
      end

      # One pass over a corner, over all rails: as much longer as it is farther from the pivot to the far edge than
      # across the face.
      def long_turn(each) = length_per_turn + (measured_turn ? 0.0 : [each.reach - form.face, 0.0].max)

      # The same over the two rails on the wide side, which lie farther apart there.
      def short_turn(each)
        bay = each.outward ? spacings.last : spacings.first
        length_per_turn - spacings.sum + bay * [each.reach / form.face, 1.0].max
      end

      # Passes lie above one another on the crowded edge, and spread on the wide one: on the leg where they gape
      # widest.
      def gap_wide
        legs.zip(leg_turns).filter_map { |leg, count| wide(leg) / (2 * count) - advance if count.positive? }.max || 0.0
      end

      def needs = [run(material: material.id, what: "weaving", length:, join: JOIN, least: length_per_turn)]

      def working
        [
          line(:reach, "The rope’s middle keeps off a rail’s by", pencil("½ × %l + ½ × %l", diameter, rail_diameter),
            text(reach)),
          line(:spacings, "Rails apart", (rails.size > 2) ? "each, the dish in it" : "",
            spacings.map { text(_1) }.uniq.join(", ")),
          line(:straight, "Straight between two rails", pencil("√(%l² − (2 × %l)²)", spacings.first, reach),
            text(Math.sqrt(spacings.first**2 - 4 * reach**2))),
          line(:length_per_turn, "One pass, over every rail and round the edge",
            measured_turn ? "by your test piece" : "straight pieces and arcs of #{bare(reach)}", text(length_per_turn)),
          line(:turns, "Turns side by side on the crowded edge", turns_sum, turns.to_s),
          *(if fanned
              line(:fanned, "Passes over the corners", fan ? "#{fan_passes.size} × #{fan}, as you said" :
                "as many as close them: #{fan_passes.tally.map { |each, times| "#{times} × #{each}" }.join(" + ")}",
                fanned.to_s)
            end),
          line(:passes, "Passes, two to a turn", "2 × #{turns}#{" + #{fanned}" if fanned}", passes.to_s),
          line(:length, "All passes, both ends tucked",
            pencil("%n × %l + 2 × %l#{over_says}", passes, length_per_turn, 1),
            long_text(length))
        ]
      end

      def findings
        [*(test_piece_finding if test_piece), *(
          if rails.size == 2
            finding(:note, "plain_wrap",
              "With two rails this is a figure of eight round both, close to a plain wrap.")
          end),
          *(if gap_wide > diameter
              finding(:warn, "form_shows", "At the outside edge passes lie #{text(gap_wide)} apart, wider than the " \
                "rope is thick. Push the rows together there, or add a thicker rope.",
                at: "outside")
            end),
          *(if minutes > 90
              finding(:note, "slow", "#{passes} passes take about #{(minutes / 60).round(1)} hours, and tire the " \
                "hands: plan two sittings.")
            end)]
      end

      def steps
        [step("weave", "Weave over and under", "Over one rail, under the next; the next pass goes the other way. " \
          "Push each turn against the last on the inside.", count: passes, unit: :passes, lays: :woven,
          minutes: 3 + length * SECONDS / 60)]
      end

      def fixings = {glue: 2.0}

      # Every pass takes as much, but those over a corner.
      def wound_in(step) = (step.count == passes) ? [length / passes] * passes : []

      def closes = form.areas

      # Between two passes the other side of the same turns is seen; a gap wider than the rope is bare.
      def accepts = [gap_wide, diameter].max

      def mend(corner)
        return ["push the rows together there", nil] unless corner
        ["add passes there", {"fan" => (form.stretches.fans.map(&:length).max / (2 * diameter)).ceil}]
      end

      def lies = [Place::Cords.woven(form, id:, material:, spans:, width: diameter)]

      def gaps
        return [] unless gap_wide > [0.05 * diameter, Coiled::LEAST_SEEN].max
        leg, count = legs.zip(leg_turns).select { _2.positive? }.max_by { |each, turns| (wide(each) / turns).round(6) }
        Place::Gap.between(form, count / 3.0, 1 / (2.0 * count), leg, width: gap_wide)
      end

      def thickness = diameter

      private

      def legs = form.stretches.legs

      # What a string says against what the sizes give.
      def crowding
        drawn = form.path.crowded(form.half_face)
        drawn.zero? ? 1.0 : form.crowded_run / drawn
      end

      def wide(leg) = leg.wide * form.wide_run / form.stretches.wide

      # Where every pass lies, and over which rails it goes: evenly along the crowded edge of a leg over all of them,
      # fanned out over a corner.
      def spans
        waiting = fan_passes.dup
        legs.zip(leg_turns, form.stretches.after).flat_map do |leg, count, fan|
          over = fan ? waiting.shift : 0
          [*(0...2 * count).map { [form.stretches.square(leg.along((_1 + 0.5) / (2 * count), :crowded)), (0..)] },
            *(0...over).map { [fan.span((_1 + 0.5) / over), over_rails(fan)] }]
        end
      end

      def over_says = fanned && ", #{fan ? "longer" : "short"} over the corners"

      # Over which rails a pass goes at a corner.
      def over_rails(corner)
        return (0..) if fan
        corner.outward ? (rails.size - 2..) : (..1)
      end

      def turns_sum
        return "by your test piece" if measured_advance
        sum_of(legs.zip(leg_turns).map { |leg, count|
          (count == fitting(leg)) ? pencil("%l ÷ %l, rounded down", leg.crowded * crowding, diameter * squash) :
            pencil("it jams: %l between the rails ÷ (%l × %n), rounded down", between_rails(leg), diameter, stiffness)
        })
      end

      def rail_diameter = 2 * form.section.rail_radius
    end
  end
end
