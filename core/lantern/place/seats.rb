# frozen_string_literal: true

module Lantern
  module Place
    # Where coils lie: so many on every leg of a form, and so many over every corner, where they fan out about the
    # point on the tight side.
    class Seats
      # A coil: where it crosses the inside edge and where the outside, and where on the inside the next one begins.
      Seat = Value.define(:inner, :outer, :next)

      # @param form [Form::Band]
      # @param on_legs [Array<Integer>] coils on every leg
      # @param over_corners [Array<Integer>] coils over every corner
      def initialize(form, on_legs, over_corners)
        @form = form
        @legs = form.stretches.legs.zip(on_legs)
        waiting = over_corners.dup
        @fans = form.stretches.after.map { |fan| fan && [fan, waiting.shift] }
        @over = form.section.front.length / form.section.girth
      end

      # Every coil over the front, from the inside edge to the outside.
      def front = seats.map { {points: [_1.inner, _1.outer]} }

      # Behind, on to the next.
      def back = seats.map { {points: [_1.outer, _1.next]} }

      # Short pieces between the coils, evenly spread on every leg: from the middle of the face over the outside edge.
      # @param counts [Array<Integer>] for every leg
      def fillers(counts, behind: false)
        from, to = [0.55, 1.0].map { behind ? @over + (1 - @over) * (1 - _1) : @over * _1 }
        @legs.zip(counts).flat_map do |(leg, coils), count|
          closed(coils, count).map { |after|
            ends = [[from, 0.1 * half], [to, half]]
            {points: ends.map { |share, across| beside(leg, (after + 0.5 + share) / coils, across) }}
          }
        end
      end

      # The coils that a filler comes after, by their numbers from the first.
      # @param counts [Array<Integer>] fillers on every leg
      # @return [Array<Integer>]
      def filled_after(counts)
        begins = @legs.zip(@fans).reduce([0]) { |all, ((_, coils), fan)| all << all.last + coils + fan.to_a.last.to_i }
        @legs.zip(counts, begins).flat_map { |(_, coils), count, at| closed(coils, count).map { _1 + at } }
      end

      # The gap at the outside edge that is pointed at: on the leg that has most of it, where it bends most, the
      # nearest to a sixth of its way that no filler closes.
      # @param counts [Array<Integer>] fillers on every leg
      # @return [Array<Gap>]
      def gaps(counts, width)
        (leg, coils), count = @legs.zip(counts).reject { |(_, all), _| all.zero? }
          .max_by { |(each, all), _| each.wide / all }
        return [] unless leg
        free = (0...coils).to_a - closed(coils, count || 0)
        after = free.min_by { |coil| [-bend(leg, coil.fdiv(coils)), (coil - coils / 6.0).abs] } || 0
        from, to = [0, 1].map { beside(leg, (after + _1 + @over) / coils, half) }
        [Gap.new(from:, to:, width:)]
      end

      private

      def half = @form.half_face

      # The coils of a leg that a filler comes after.
      def closed(coils, count) = (0...count).map { |i| ((i + 0.5) * coils / count).floor }

      def seats = @seats ||= @legs.zip(@fans).flat_map { |leg, fan| [*on_leg(*leg), *(over_corner(*fan) if fan)] }

      def on_leg(leg, count)
        inner = (0..count).map { beside(leg, _1.fdiv(count), -half) } if count.positive?
        (0...count).map { |i|
          Seat.new(inner: inner[i], outer: beside(leg, (i + @over) / count, half), next: inner[i + 1])
        }
      end

      def over_corner(fan, count) = (0...count).map { |i|
        far, further = [0.5, 1.5].map { fan.at([(i + _1) / count, 1.0].min) }
        fan.outward ? Seat.new(inner: fan.pivot, outer: far, next: fan.pivot) :
          Seat.new(inner: far, outer: fan.pivot, next: further)
      }

      # One over the radius, as far as anybody would tell two apart.
      def bend(leg, share) = @form.path.curvature(leg.from + share * leg.run).abs.round(3)

      def beside(leg, share, across) = @form.path.beside(leg.from + share * leg.run, across)
    end
  end
end
