# frozen_string_literal: true

module Lantern
  module Form
    # A line through the plane, made of straight lines and arcs joined end to end: the middle of a
    # band, or the outline of a cut across it.
    #
    # Points are `[x, y]` in inches, y running down as on a drawing. Going along the path, the side
    # on the left hand is the outside: a ring is walked clockwise.
    class Path
      attr_reader :pieces

      # @param pieces [Array<Line, Arc>] each starting where the one before it ends
      # @param pointed [Boolean] whether the lines beside it meet in a point at its corners, or go round
      def initialize(pieces, pointed: false)
        @pieces = pieces.freeze
        @pointed = pointed
        @closed = Math.hypot(*minus(pieces.first.at(0), pieces.last.at(pieces.last.length))) < 1e-6 *
          [pieces.sum(&:length), 1].max
        @starts = pieces.reduce([0.0]) { |starts, piece| starts << starts.last + piece.length }.freeze
      end

      # @return [Float] length along the path
      def length = @starts.last

      def closed? = @closed

      def pointed? = @pointed

      # @return [Path] the same with corners of this kind
      def cornered(pointed) = (pointed == @pointed) ? self : Path.new(pieces, pointed:)

      # @return [Array(Float, Float)] the point this far along; a closed path goes on round
      def at(distance) = locate(distance) { |piece, rest| piece.at(rest) }

      # @return [Array(Float, Float)] the way the path runs there, of length one
      def direction(distance) = locate(distance) { |piece, rest| piece.direction(rest) }

      # @return [Float] one over the radius, positive where the outside is the longer side
      def curvature(distance) = locate(distance) { |piece, _| piece.curvature }

      # The point this far along, and `across` towards the outside.
      def beside(distance, across)
        return pieces.first.beside(distance, across) if @closed && pieces.size == 1
        locate(distance) { |piece, rest| piece.beside(rest, across) }
      end

      # Length of the edge that lies `across` towards the outside (negative: towards the inside).
      # An arc of radius rho turning phi has edges (rho +- b) phi; at a corner the wide side goes on as
      # {Mitre} says and the tight side is cut where the lines beside its pieces meet, and wherever it would cross
      # itself.
      # Source: parallel curves (Steiner), and offsetting with trimming.
      def edge(across) = whole_edge(across) - looped(across)

      # How much of that edge is cut off where it would cross itself.
      # @return [Float] inches
      def looped(across)
        return 0.0 unless loops?(across)
        (@looped ||= {})[across] ||=
          [whole_edge(across) - Crossing.around(Silhouette.edge(self, across).points), 0.0].max
      end

      # How long the line beside it is over a corner, on the wide side.
      def over_corner(turn, across) = Mitre.length(turn.abs, across.abs, pointed: @pointed)

      # Sum over the path of whichever edge of a band of half-width `half` is the longer there.
      def wide(half) = Stretches.of(self, half).wide

      # Sum over the path of whichever edge is the shorter there, where there are both: what turns that run from
      # edge to edge have to lie on. Over a corner they fan out, and have none of the tight edge.
      def crowded(half)
        touching = pieces.zip(kept(half), kept(-half)).sum do |piece, *ranges|
          from, to = ranges.map(&:first).max, ranges.map(&:last).min
          [to - from, 0.0].max * [1 - piece.curvature.abs * half, 0.0].max
        end
        touching - looped(half) - looped(-half)
      end

      # The smallest radius the path bends with, or infinity.
      def tightest_radius = pieces.map { _1.curvature.abs }.max.then { |most| most.zero? ? Float::INFINITY : 1 / most }

      # @return [Path] the same path, `factor` times the size about the origin
      def scaled(factor) = Path.new(pieces.map { _1.scaled(factor) }, pointed: @pointed)

      # @return [Path] what is left when so much is cut off at its start and at its end
      def shortened(from_start, from_end)
        stop = length - from_end
        kept = pieces.each_with_index.filter_map do |piece, index|
          from, to = [from_start - @starts[index], 0].max, [stop - @starts[index], piece.length].min
          piece.stretch(from, to) if to - from > 1e-9
        end
        Path.new(kept, pointed: @pointed)
      end

      # @return [Path] the part of it from one distance to another; past the end of a closed one it goes on round
      def between(from, to)
        to += length if closed? && to <= from + 1e-9
        kept = (closed? ? [0.0, length] : [0.0]).flat_map { |round|
          pieces.each_with_index.filter_map do |piece, i|
            begins = @starts[i] + round
            start, stop = [from - begins, 0.0].max, [to - begins, piece.length].min
            piece.stretch(start, stop) if stop - start > 1e-9
          end
        }
        Path.new(kept, pointed: @pointed)
      end

      # @return [Path] mirrored left to right, then turned by so many radians, then moved
      def placed(x: 0.0, y: 0.0, turn: 0.0, mirror: false)
        turned = mirror ? pieces.reverse.map(&:mirrored) : pieces
        Path.new(turned.map { _1.placed(x, y, turn) }, pointed: @pointed)
      end

      # The paths it is joined from; most are one.
      def strands = [self]

      # How far the path turns at each of its corners, in radians; positive where the outside is the
      # longer side.
      # @return [Array<Float>]
      def corners
        @corners ||= joints.map(&:last).reject { _1.abs < 1e-9 }
      end

      # Corners that turn less are as good as none, in radians: where arcs follow a curve.
      ROUND = 0.01

      # Whether it bends to one side only and has no corners to speak of, so that no line beside it can cross itself.
      def bulges?
        return @bulges unless @bulges.nil?
        @bulges = corners.all? { _1.abs < ROUND } && !pieces.map { _1.curvature <=> 0 }.minmax.eql?([-1, 1])
      end

      MANY = 64
      private_constant :MANY

      # Whether the line beside it crosses itself where it bends; looked at with few points, since it seldom does.
      # Of very many straight sides none does that keeps some of its length.
      def loops?(across)
        return false if across.zero? || !closed? || bulges?
        (@loops ||= {}).fetch(across) { @loops[across] = looping?(across) }
      end

      # From where to where every piece is kept on the line beside it.
      # @return [Array<(Float, Float)>] nothing long for one that is cut away
      def kept(across)
        ranges = kept_pieces(across).to_h { |piece, from, to| [piece, [from, to]] }.compare_by_identity
        pieces.map { ranges.fetch(_1, [0.0, 0.0]) }
      end

      # How far the path turns after every piece, in radians; positive where the outside is the longer side.
      # @return [Array<Float>] one fewer than pieces where it is open
      def bends = @bends ||= joints.map(&:last)

      # @return [Float] how far along the path a piece begins
      def start_of(index) = @starts[index]

      # The line beside the path, piece by piece, cut short where its pieces meet on the tight side of
      # a corner.
      # @return [Array<(Line or Arc, Float, Float)>] each piece, and from where to where it goes
      def parallel(across)
        meetings = joints.map { |before, after, bend|
          meeting(before, after, bend, across) if bend * across < -1e-9 &&
            bend.abs < 3.1
        }
        meetings << nil unless closed?
        pieces.each_with_index.filter_map do |piece, i|
          from = meetings[i - 1]&.last || 0.0
          to = piece.length - (meetings[i]&.first || 0.0)
          [piece, from, to] if to > from
        end
      end

      # @return [Array<Float>] left, top, right and bottom of the path itself
      def box
        @box ||= begin
          xs, ys = pieces.flat_map(&:extremes).transpose
          [xs.min, ys.min, xs.max, ys.max].freeze
        end
      end

      # All along it, as {Clock} looks for an hour.
      def looked_at = @looked_at ||= Clock.looks(self)

      # Where the line beside it turns after a piece, on the wide side; nothing where it runs on smoothly, or on the
      # tight side.
      # @param index [Integer] which piece
      # @return [Array<(Float, Float)>]
      def corner_points(index, across)
        return [] unless (bends[index] || 0.0) * across > 1e-9
        before, after = pieces[index], pieces[(index + 1) % pieces.size]
        Mitre.points(after.at(0), before.direction(before.length), after.direction(0), across, pointed: @pointed)
      end

      # How far a band of this half-width reaches, corners and all.
      # @return [Array<Float>] left, top, right and bottom
      def reach(half)
        unless closed?
          xs, ys = (trace(half) + trace(-half)).transpose
          return [xs.min, ys.min, xs.max, ys.max]
        end
        round = box.zip([-half, -half, half, half]).map(&:sum)
        return round unless @pointed
        xs, ys = pieces.each_index.flat_map { corner_points(_1, half) }.transpose
        return round unless xs
        [[round[0], *xs].min, [round[1], *ys].min, [round[2], *xs].max, [round[3], *ys].max]
      end

      # Points along the line `across` from the path, close enough together to draw it smoothly.
      def trace(across, step: length / 72, least: 2)
        pieces.each_with_index.flat_map do |piece, index|
          count = piece.curvature.zero? ? 1 : [(piece.length / step).ceil, least].max
          (0..count).map { |i| piece.beside(piece.length * i / count, across) }.then { index.zero? ? _1 : _1.drop(1) }
        end
      end

      private

      def whole_edge(across)
        beside_lengths(across).sum + corners.sum { |turn| (turn * across > 0) ? over_corner(turn, across) : 0.0 }
      end

      def looping?(across)
        kept = parallel(across)
        # So wide that nothing of the line is left, it has nowhere to cross itself.
        return false if kept.empty?
        return false if kept.size == pieces.size && kept.size > MANY && pieces.all? { _1.curvature.zero? }
        points = kept.flat_map { |piece, from, to|
          (piece.curvature.zero? ? [from, to] : [from, (from + to) / 2]).map { piece.beside(_1, across) }
        }
        !Crossing.find(Crossing.without_repeats(points)).nil?
      end

      def locate(distance)
        distance = closed? ? distance % length : distance.clamp(0, length) unless distance.between?(0, length)
        return yield(pieces.first, distance) if pieces.size == 1
        index = (@starts.bsearch_index { _1 > distance } || @pieces.size) - 1
        yield @pieces[index], distance - @starts[index]
      end

      def kept_pieces(across) = (@kept_pieces ||= {})[across] ||= parallel(across)

      # How long the line beside every piece is, what is cut off at corners left out.
      # @return [Array<Float>] piece by piece; nought for one that is cut away
      def beside_lengths(across)
        (@beside_lengths ||= {})[across] ||= pieces.zip(kept(across)).map { |piece, (from, to)|
          (to - from) * [1 + piece.curvature * across, 0.0].max
        }
      end

      # Every piece with the one after it, and how far the path turns from the one to the other.
      def joints
        @joints ||= begin
          pairs = pieces.each_cons(2).to_a
          pairs << [pieces.last, pieces.first] if closed?
          pairs.map { |before, after| [before, after, turn(before.direction(before.length), after.direction(0))] }
        end
      end

      # How far before and after a joint the lines beside its pieces meet, on the tight side: where
      # straight lines would, and from there by Newton's method.
      def meeting(before, after, bend, across)
        back = ahead = across.abs * Math.tan(bend.abs / 2)
        20.times do
          # On the way there it may be past an end; not where it arrives.
          return if back > 2 * before.length + across.abs * 4 || ahead > 2 * after.length + across.abs * 4
          (fx, fy), (gx, gy) = before.beside(before.length - back, across), after.beside(ahead, across)
          dx, dy = gx - fx, gy - fy
          if dx.abs + dy.abs < 1e-9 && back >= 0 && ahead >= 0
            return (back > before.length || ahead > after.length) ? nil : [back, ahead]
          end
          (ax, ay), (bx, by) = before.direction(before.length - back), after.direction(ahead)
          along, beyond = 1 + before.curvature * across, 1 + after.curvature * across
          spread = ax * by - ay * bx
          return if spread.abs < 1e-12 || along.abs < 1e-9 || beyond.abs < 1e-9
          back -= (dx * by - dy * bx) / spread / along
          ahead += (dx * ay - dy * ax) / spread / beyond
        end
        nil
      end

      def turn(from, to) = Math.atan2(from[0] * to[1] - from[1] * to[0], from[0] * to[0] + from[1] * to[1])

      def minus(a, b) = [a[0] - b[0], a[1] - b[1]]
    end
  end
end
