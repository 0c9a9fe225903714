# frozen_string_literal: true

module Lantern
  module Place
    # Where coils lie: so many on every leg of a form, touching on its crowded edge and, with the fillers among them,
    # evenly spread on its wide one; and so many over every corner, where they fan out about the point on the tight
    # side.
    class Seats
      # A coil: where it crosses the inside edge and where the outside, and where on the inside the next one begins.
      Seat = Value.define(:inner, :outer, :onward)

      # Runs of a leg that gape alike: how long their edges are, how many coils of the leg come before them, how many
      # lie on them, which of them a filler comes after, and whether the outside is the wide edge.
      Stretch = Value.define(:runs, :crowded, :wide, :before, :coils, :filled, :outward) do
        # Fillers are spread evenly among the coils.
        def self.lay(runs:, wide:, before:, coils:, fillers:)
          new(runs:, wide:, before:, coils:, crowded: runs.sum(&:crowded),
            filled: (0...fillers).map { |i| (before + (i + 0.5) * coils / fillers).floor },
            outward: runs.sum { _1.bend * (_1.to - _1.from) } >= 0)
        end

        def fillers = filled.size

        # The gap at the wide edge once the fillers are in.
        def gap(lying) = wide / (coils + fillers) - lying

        # How far along the path a place between coils lies, on one of the edges. Where no filler pushes them aside,
        # coils lie square to the path as they touch on the crowded edge: those of a straight leg are not drawn out by
        # the bend that it runs into.
        def along(place, edge)
          own = place - before
          all = coils
          edge = :crowded if fillers.zero?
          if edge == :wide
            own += filled_before(place.floor)
            all += fillers
          end
          at(all.zero? ? 0.0 : own / all, edge)
        end

        # How far along the path the filler after a coil lies at the wide edge; `over` of a coil's way on.
        def filler(after, over) =
          at((after - before + over + 1 + filled_before(after)) / (coils + fillers), :wide)

        private

        def filled_before(coil) = filled.bsearch_index { _1 >= coil } || filled.size

        # Past an end it goes on as it bends there.
        def at(share, edge)
          left = share * public_send(edge)
          runs.each do |run|
            length = run.public_send(edge)
            inside = left <= length || run.equal?(runs.last)
            return run.from + (run.to - run.from) * left / length if inside && length.positive?
            left -= length
          end
          runs.last.to
        end
      end

      # @param form [Form::Band]
      # @param on_legs [Array<Array<Stretch>>] for every leg
      # @param over_corners [Array<Integer>] coils over every corner
      def initialize(form, on_legs, over_corners)
        @form = form
        @legs = on_legs
        waiting = over_corners.dup
        @fans = form.stretches.after.map { |fan| fan && [fan, waiting.shift] }
        @over = form.section.front.length / form.section.girth
      end

      # Every coil over the front, from the inside edge to the outside.
      def front = seats.map { {points: [_1.inner, _1.outer]} }

      # Where every coil crosses the middle of the band.
      # @return [Array<(Float, Float)>]
      def middles = seats.map { |seat| seat.inner.zip(seat.outer).map { |a, b| (a + b) / 2 } }

      # Behind, on to the next.
      def back = seats.map { {points: [_1.outer, _1.onward]} }

      # Where there is room on a drawing: so much up for every inch to the right.
      UP = 0.5
      private_constant :UP

      # How much of the face a filler goes over, from the wide edge inward (from memory: three quarters of the girth).
      FILLED = 0.75

      # Short pieces between the coils: over the wide edge and most of the face.
      def fillers = @legs.flatten.flat_map { |stretch|
        stretch.filled.map { |after| {points: filler(stretch, after)} }
      }

      # The coils that a filler comes after, by their numbers from the first.
      # @return [Array<Integer>]
      def filled_after
        begins = 0
        @legs.zip(@fans).flat_map do |stretches, fan|
          from = begins
          begins += count(stretches) + fan.to_a.last.to_i
          stretches.flat_map(&:filled).map { _1 + from }
        end
      end

      # The gap at the wide edge that is pointed at: of the widest that no filler closes the one farthest to the right
      # and a little up, where a drawing has room to say it.
      # @param lying [Float] what a coil takes of an edge
      # @return [Array<Gap>]
      def gaps(lying)
        gaping = @legs.flatten.select { _1.coils >= 1 }
        widest = gaping.map { _1.gap(lying) }.max or return []
        places = gaping.select { _1.gap(lying) > widest - 1e-3 }.flat_map { |each| free(each).map { [each, _1] } }
        ends = places.map { |stretch, after| [0, 1].map { beside(wide_place(stretch, after + _1), side(stretch)) } }
        from, to = ends.max_by { |(x, y), (to_x, to_y)| (x + to_x - UP * (y + to_y)).round(6) }
        from ? [Gap.new(from:, to:, width: widest)] : []
      end

      private

      def half = @form.half_face

      def count(stretches) = stretches.sum(&:coils).round

      # How far a coil has moved on where it crosses the inside edge, and the outside: as far from the one end of a leg
      # as from the other.
      def inside = 0.5 - @over / 2

      def outside = 0.5 + @over / 2

      # The coils of a stretch that no filler comes after.
      def free(stretch) = (stretch.before.ceil...(stretch.before + stretch.coils).floor).to_a - stretch.filled

      def wide_place(stretch, coil) = stretch.along(coil + lag(stretch), :wide)

      # How far from the middle the wide edge lies.
      def side(stretch) = stretch.outward ? half : -half

      # Where it crosses the wide edge.
      def lag(stretch) = stretch.outward ? outside : inside

      def filler(stretch, after)
        edge = stretch.filler(after, lag(stretch))
        middle = edge + FILLED * (stretch.along(after + 1.0, :crowded) - edge)
        [beside(middle, (1 - 2 * FILLED) * side(stretch)), beside(edge, side(stretch))]
      end

      def seats
        @seats ||= @legs.zip(@fans).flat_map { |stretches, fan| [*on_leg(stretches), *(over_corner(*fan) if fan)] }
      end

      def on_leg(stretches)
        (0...count(stretches)).map do |i|
          stretch = stretches.reverse_each.find { _1.before <= i + 0.5 } || stretches.first
          near, far = stretch.outward ? %i[crowded wide] : %i[wide crowded]
          Seat.new(inner: beside(stretch.along(i + inside, near), -half),
            outer: beside(stretch.along(i + outside, far), half),
            onward: beside(within(stretch, stretch.along(i + 1 + inside, near)), -half))
        end
      end

      # On a form that has ends the last coil goes on to nowhere.
      def within(stretch, along) = @form.closed? ? along : [along, stretch.runs.last.to - 1e-6].min

      def over_corner(fan, count) = (0...count).map { |i|
        far, further = [0.5, 1.5].map { fan.at([(i + _1) / count, 1.0].min) }
        fan.outward ? Seat.new(inner: fan.pivot, outer: far, onward: fan.pivot) :
          Seat.new(inner: far, outer: fan.pivot, onward: further)
      }

      def beside(along, across) = @form.path.beside(along, across)
    end
  end
end
