# frozen_string_literal: true

module Lantern
  module Form
    # A band, stretch by stretch: between its corners turns run from edge to edge; over a corner they fan out about
    # the point where the tight edges meet. What a leg has to spare is of no use to a corner, so each is counted by
    # itself.
    class Stretches
      # Between two corners, from where to where along the path both edges are there, and how long each is.
      Leg = Value.define(:from, :to, :crowded, :wide) do
        def run = to - from
      end

      # Over a corner: the point that turns pivot about, the wide edge they fan over as points along it, how long
      # that is, and how far it lies from the pivot on the average. `outward` when the wide edge is the outside.
      Fan = Value.define(:pivot, :edge, :length, :reach, :outward) do
        # @return [(Float, Float)] the point so much of the way along the edge
        def at(share)
          steps = edge.each_cons(2).map { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
          left = share * steps.sum
          edge.each_cons(2).zip(steps) do |(a, b), step|
            return [a[0] + (b[0] - a[0]) * left / step, a[1] + (b[1] - a[1]) * left / step] if left <= step && step > 0
            left -= step
          end
          edge.last
        end
      end

      # Into so many straight pieces is the round of a corner cut, to say where it lies.
      ROUND_STEPS = 8

      # @param path [Path]
      # @param half [Float] half the face
      def initialize(path, half)
        @path, @half = path, half
        @kept = {1 => path.kept(half), -1 => path.kept(-half)}
      end

      # Of a path that is joined from several, those of each, one after the other.
      # @return [Stretches, Several]
      def self.of(path, half)
        return new(path, half) if path.strands.one?
        begins = path.strands.reduce([0.0]) { |all, strand| all << all.last + strand.length }
        each = path.strands.map { new(_1, half) }
        Several.new(legs: each.zip(begins).flat_map { |one, at|
          one.legs.map { _1.with(from: _1.from + at, to: _1.to + at) }
        }, fans: each.flat_map(&:fans), after: each.flat_map(&:after))
      end

      # The legs and fans of several paths.
      Several = Value.define(:legs, :fans, :after)

      # @return [Array<Leg>] in order along the path
      def legs = @legs ||= runs_of_pieces.map { leg(_1) }

      # @return [Array<Fan>] in order along the path
      def fans = @fans ||= after.compact

      # @return [Array<Fan, nil>] for every leg the fan after it, if there is a corner
      def after = @after ||= runs_of_pieces.map { |indices| fan(indices.last) }

      private

      # Pieces that follow one another without a corner; on a closed path from one corner on.
      def runs_of_pieces
        @runs_of_pieces ||= begin
          count = @path.pieces.size
          sharp = (0...count).select { corner?(_1) }
          first = @path.closed? ? ((sharp.first || -1) + 1) % count : 0
          (0...count).map { (first + _1) % count }.slice_when { |before, _| corner?(before) }.to_a
        end
      end

      def corner?(index) = (@path.bends[index] || 0.0).abs >= Path::ROUND

      # Where both edges of a piece are there.
      def common(index)
        from = @kept.each_value.map { _1[index].first }.max
        [from, [@kept.each_value.map { _1[index].last }.min, from].max]
      end

      def leg(indices)
        ranges = indices.map { common(_1) }
        from = @path.start_of(indices.first) + ranges.first[0]
        Leg.new(from:, to: from + span(indices, ranges), wide: wide(indices),
          crowded: indices.zip(ranges).sum { |index, (start, stop)| (stop - start) * [1 - bend_of(index), 0.0].max })
      end

      # The longer edge, from where both edges are there to where they end, with what its slight bends add.
      def wide(indices)
        edges = indices.sum { |index|
          side = @path.pieces[index].curvature.negative? ? -1 : 1
          start, stop = @kept[side][index]
          start = [start, common(index).first].max if index == indices.first
          stop = [stop, common(index).last].min if index == indices.last
          [stop - start, 0.0].max * (1 + bend_of(index))
        }
        slight = (@path.closed? && fans.empty?) ? indices : indices[...-1]
        edges + slight.sum { (@path.bends[_1] || 0.0).abs * @half }
      end

      def bend_of(index) = @path.pieces[index].curvature.abs * @half

      # From the beginning of the first range to the end of the last, along the path.
      def span(indices, ranges)
        whole = indices.sum { @path.pieces[_1].length }
        whole - ranges.first[0] - (@path.pieces[indices.last].length - ranges.last[1])
      end

      def fan(index)
        return unless corner?(index)
        after = (index + 1) % @path.pieces.size
        side = @path.bends[index].positive? ? 1 : -1
        before_piece, after_piece = @path.pieces[index], @path.pieces[after]
        pivot = before_piece.beside(@kept[-side][index].last, -side * @half)
        edge = [before_piece.beside(common(index).last, side * @half), *round(before_piece, after_piece, side),
          after_piece.beside(common(after).first, side * @half)]
        length = edge.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
        reach = edge.sum { |x, y| Math.hypot(x - pivot[0], y - pivot[1]) } / edge.size
        Fan.new(pivot:, edge:, length:, reach:, outward: side.positive?)
      end

      # Round the corner on the wide side.
      def round(before, after, side)
        x, y = after.at(0)
        from, to = [[before, before.length], [after, 0.0]].map { |piece, at|
          bx, by = piece.beside(at, side * @half)
          Math.atan2(by - y, bx - x)
        }
        turn = (to - from + Math::PI) % (2 * Math::PI) - Math::PI
        (0..ROUND_STEPS).map { |i|
          angle = from + turn * i / ROUND_STEPS
          [x + @half * Math.cos(angle), y + @half * Math.sin(angle)]
        }
      end
    end
  end
end
