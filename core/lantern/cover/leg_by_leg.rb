# frozen_string_literal: true

module Lantern
  module Cover
    # Coils counted leg by leg and fanned over corners, as the hands lay them: what a straight leg has to spare closes
    # nothing at a point. A form without corners is one leg and has nothing to fan over.
    #
    # For a covering that is {Coiled} and answers `accepted_gap` and `fan`, how many coils go over a corner if the
    # maker says so.
    module LegByLeg
      def turns = @turns ||= leg_turns.sum + fan_turns.sum

      # Coils that touch on the crowded edge of every leg.
      # @return [Array<Integer>]
      def leg_turns = fitting_legs

      def fitting_legs = @fitting_legs ||= legs.map { (_1.crowded * crowding / touching + 1e-9).floor }

      # What a coil takes of the crowded edge as it is laid.
      def touching = lying

      # Coils that close the wide edge of every corner, or as many as the maker says.
      # @return [Array<Integer>]
      def fan_turns = @fan_turns ||= fans.map { fan || (_1.length / (lying + accepted_gap) - 1e-9).ceil }

      def fanned = fans.empty? ? nil : fan_turns.sum

      # Every leg, by how it gapes: a straight stretch has nothing to lend to a bend. Fillers bring the average gap of
      # each under what is accepted.
      # @return [Array<Array<Place::Seats::Stretch>>]
      def leg_stretches
        @leg_stretches ||= legs.zip(leg_turns).map do |leg, count|
          per_inch = leg.crowded.zero? ? 0.0 : count / leg.crowded
          before = 0.0
          leg.runs.slice_when { |a, b| gaping?(a, per_inch) != gaping?(b, per_inch) }.map do |runs|
            coils = runs.sum(&:crowded) * per_inch
            before += coils
            Place::Seats::Stretch.lay(runs:, wide: wide(runs), before: before - coils, coils:,
              fillers: fillers_among(wide(runs), coils))
          end
        end
      end

      # One coil, on the average: those that fan out are longer.
      def length_per_turn = @length_per_turn ||= measured_turn || coils / turns

      # What a fanned coil takes: it crosses the corner from the pivot to the far edge.
      def fanned_turn(over) = measured_turn || round + 2 * [over.reach - form.face, 0.0].max

      def coils
        @coils ||= legs.zip(leg_turns).sum { |leg, count|
          count.zero? ? 0.0 : count * (measured_turn || Math.hypot(round, along(leg) / count))
        } + fans.zip(fan_turns).sum { |over, count| count * fanned_turn(over) }
      end

      # The widest that any leg has.
      def gap_wide = stretches.map { _1.wide / _1.coils - lying }.max || 0.0

      def gap_middle = widest_gap { along(_1) }

      def gap_crowded = [widest_gap { _1.crowded * crowding }, 0.0].max

      # What is left of the average gap on the legs once the fillers are in.
      def gap_left
        on_legs = leg_turns.sum
        on_legs.zero? ? 0.0 : (stretches.sum(&:wide) - (on_legs + fillers) * lying) / on_legs
      end

      # The coils after which a filler goes, evenly spread where they gape.
      def filler_places = seats.filled_after

      def coil_lie = cord_lie(:coils, seats.front, seats.back)

      def gaps = seats.gaps(lying).select { seen?(_1.width) }

      private

      def legs = form.stretches.legs

      def fans = form.stretches.fans

      # What a string says against what the sizes give; and what a thick rope loses.
      def crowding = @crowding ||= share(room, form.path.crowded(form.half_face))

      def wide(runs) = runs.sum(&:wide) * (@widening ||= share(form.wide_run, form.stretches.wide))

      # Those that any coil lies on.
      def stretches = leg_stretches.flatten.select { _1.coils.positive? }

      # Whether a run gapes wider than is accepted, so many coils lying on every inch of its crowded edge.
      def gaping?(run, per_inch) = wide([run]) > run.crowded * per_inch * (lying + accepted_gap)

      # None unless the covering pushes any in.
      def fillers_among(_wide, _coils) = 0

      def along(leg) = leg.run * (@lengthening ||= share(form.run, form.path.length))

      def share(said, drawn) = drawn.zero? ? 1.0 : said / drawn

      def widest_gap
        legs.zip(leg_turns).filter_map { |leg, count| yield(leg) / count - lying if count.positive? }.max || 0.0
      end

      def seats = @seats ||= Place::Seats.new(form, leg_stretches, fan_turns)

      def cord_lie(unit, front, back)
        Place::Lie::Cord.new(layer: id, unit:, materials: [material], width: diameter, front:, back:)
      end

      def fitting_working
        on_legs = line(:fitting, "Coils that fit it#{", leg by leg" unless legs.one?}",
          sum_of(legs.map { fitting_sum(_1.crowded * crowding) }), fitting_legs.sum.to_s)
        return [on_legs] if fans.empty?
        [on_legs, line(:fanned, "Coils that fan out over #{(fans.size == 1) ? "the corner" : "the corners"}",
          fan ? "#{fans.size} × #{fan}, as you said" :
            sum_of(fans.map { pencil("%l ÷ (%l + %l), rounded up", _1.length, lying, accepted_gap) }),
          fan_turns.sum.to_s)]
      end

      def fitting_sum(edge) = pencil("%l ÷ %l, rounded down", edge, lying)

      def turn_sum = (fans.empty? || measured_turn) ? super : "on the average; longer over the corners"

      # The sum of the stretch that gapes widest.
      def gap_sum
        widest = stretches.max_by { _1.wide / _1.coils }
        widest ? pencil("%l ÷ %n − %l", widest.wide, coils_on(widest), lying) : ""
      end

      # The coils on a stretch, which need not be whole where the next goes on without a corner.
      def coils_on(stretch) = whole(stretch.coils)

      def whole(number) = ((number - number.round).abs < 1e-9) ? number.round : number

      def fillers_sum
        sum_of(stretches.select { _1.fillers.positive? }.map { |each|
          (each.fillers == each.coils.floor) ? pencil("%n coils, one behind each, rounded down", coils_on(each)) :
            pencil("(%l − %n × (%l + %l)) ÷ %l, rounded up", each.wide, coils_on(each), lying, accepted_gap, lying)
        })
      end
    end
  end
end
