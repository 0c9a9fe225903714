# frozen_string_literal: true

module Lantern
  module Form
    # What a cut across the band looks like. x runs from the middle of the band towards the
    # outside, y from the front towards the back (so that the front is up, as it is drawn).
    #
    # `front` leads from the inside edge over the front to the outside edge, `back` from there
    # behind to the inside edge again. Together they are what a strip pulled tight lies on: the
    # hull, since a taut strip bridges hollows.
    class Section
      attr_reader :front, :back, :kind, :rails, :rail_radius

      def initialize(kind:, front:, back:, rails: [], rail_radius: 0.0)
        @kind = kind
        @front = front
        @back = back
        @rails = rails.freeze
        @rail_radius = rail_radius
      end

      class << self
        # A round tube. Girth pi t.
        def round(face)
          r = face / 2
          new(kind: :round, front: Path.new([Arc.new(centre: [0.0, 0.0], radius: r, start: Math::PI, sweep: Math::PI)]),
            back: Path.new([Arc.new(centre: [0.0, 0.0], radius: r, start: 0.0, sweep: Math::PI)]))
        end

        # Half a tube with a flat back. Girth t + pi t / 2.
        def half_round(face)
          r = face / 2
          new(kind: :half_round,
            front: Path.new([Arc.new(centre: [0.0, 0.0], radius: r, start: Math::PI, sweep: Math::PI)]),
            back: Path.new([Line.new(from: [r, 0.0], to: [-r, 0.0])]))
        end

        # A flat board. Girth 2 (2b + h).
        def flat(face, thickness)
          b, h = face / 2, thickness / 2
          new(kind: :flat, front: lines([-b, 0.0], [-b, -h], [b, -h], [b, 0.0]),
            back: lines([b, 0.0], [b, h], [-b, h], [-b, 0.0]))
        end

        # Parallel wires, the middle ones standing `dish` in front of the edge ones. The hull of
        # their circles is the hull of their middles, grown by the wire's radius: its length is that
        # of the inner hull and 2 pi r more.
        # Source: Steiner's formula for convex bodies; for two rails it is the open belt round two
        # equal pulleys.
        def wire(face, count:, diameter:, dish:)
          r = diameter / 2
          reach = face / 2 - r
          rails = (0...count).map { |i| -reach + 2 * reach * i / (count - 1) }
            .map { |x| [x, -rise(x, reach, count, dish)] }
          new(kind: :wire, rails:, rail_radius: r, front: over(rails, r), back: under(rails, r))
        end

        private

        def lines(*points) = Path.new(points.each_cons(2).map { |from, to| Line.new(from:, to:) })

        # The rails lie on a bow whose highest rail stands `dish` over the edge rails.
        def rise(x, reach, count, dish)
          return 0.0 if count < 3
          highest = count.odd? ? 1.0 : 1 - (1.0 / (count - 1))**2
          dish * (1 - (x / reach)**2) / highest
        end

        # Round the first rail, along the tops, round the last: each straight piece touches two
        # circles, each arc turns over one.
        def over(rails, r)
          from = Math::PI
          pieces = rails.each_cons(2).flat_map do |a, b|
            to = Math.atan2(b[1] - a[1], b[0] - a[0]) - Math::PI / 2
            turn = (to - from) % (2 * Math::PI)
            from += turn
            [Arc.new(centre: a, radius: r, start: from - turn, sweep: turn),
              Line.new(from: off(a, r, from), to: off(b, r, from))]
          end
          left = (-from) % (2 * Math::PI)
          Path.new((pieces + [Arc.new(centre: rails.last, radius: r, start: from, sweep: left)])
            .reject { _1.length < 1e-9 })
        end

        def under(rails, r)
          last, first = rails.last, rails.first
          Path.new([
            Arc.new(centre: last, radius: r, start: 0.0, sweep: Math::PI / 2),
            Line.new(from: [last[0], last[1] + r], to: [first[0], first[1] + r]),
            Arc.new(centre: first, radius: r, start: Math::PI / 2, sweep: Math::PI / 2)
          ])
        end

        def off(centre, r, angle) = [centre[0] + r * Math.cos(angle), centre[1] + r * Math.sin(angle)]
      end

      # @return [Float] once round, inches
      def girth = @girth ||= front.length + back.length

      # How far it reaches from front to back.
      def depth = @depth ||= [front, back].flat_map { |path| path.box.values_at(1, 3) }.minmax.then { |top, bottom|
        bottom - top
      }

      # The section grown by so much on every side: arcs about its corners, arcs wider, lines moved out.
      # @return [Section]
      def grown(by)
        ends = [front.pieces, back.pieces]
        Section.new(kind:, rails:, rail_radius:, front: outward(ends[0], ends[1].first, by),
          back: outward(ends[1], ends[0].first, by))
      end

      # The mean of a quantity over once round the section, by Gauss and Legendre's rule with five
      # points to a piece.
      # @yieldparam across [Float] distance from the middle of the band towards the outside
      def mean
        total = [front, back].sum do |path|
          path.pieces.sum { |piece|
            piece.length *
              GAUSS.sum { |place, weight| weight * yield(piece.at(piece.length * place)[0]) }
          }
        end
        total / girth
      end

      private def outward(pieces, after, by)
        grown = pieces.each_with_index.flat_map do |piece, i|
          follows = pieces[i + 1] || after
          (from_x, from_y), (to_x, to_y) = piece.direction(piece.length), follows.direction(0)
          turn = Math.atan2(from_x * to_y - from_y * to_x, from_x * to_x + from_y * to_y)
          if turn > 1e-9
            corner = Arc.new(centre: piece.at(piece.length), radius: by, start: Math.atan2(-from_x, from_y),
              sweep: turn)
          end
          [piece.outward(by), corner].compact
        end
        Path.new(grown)
      end

      # Abscissas and weights for the stretch 0..1.
      # Source: Abramowitz and Stegun, Handbook of Mathematical Functions, table 25.4.
      GAUSS = [[0.0, 0.5688888888888889], [0.5384693101056831, 0.4786286704993665],
        [-0.5384693101056831, 0.4786286704993665],
        [0.9061798459386640, 0.2369268850561891], [-0.9061798459386640, 0.2369268850561891]]
        .map { |place, weight| [(1 + place) / 2, weight / 2] }.freeze
      private_constant :GAUSS
    end
  end
end
