# frozen_string_literal: true

module Lantern
  module Form
    # A band, stretch by stretch: between its corners turns run from edge to edge; over a corner they fan out about
    # the point where the tight edges meet. What a leg has to spare is of no use to a corner, so each is counted by
    # itself.
    class Stretches
      # A line across the band that a turn lies along, from the inside edge to the outside, and how far along the path.
      Span = Value.define(:inner, :outer, :along) do
        # @param share [Float] 0 at the inside edge, 1 at the outside
        # @return [(Float, Float)]
        def at(share) = [inner[0] + (outer[0] - inner[0]) * share, inner[1] + (outer[1] - inner[1]) * share]
      end

      # A part of a leg that bends evenly: from where to where along the path, how long each edge is, one over the
      # radius, positive where the outside is the longer side, and the piece of the path that it is of, which begins
      # so far along.
      Run = Value.define(:from, :to, :crowded, :wide, :bend, :piece, :begins) do
        # @param share [Float] how much of the way along it
        # @param across [Float] from the middle towards the outside
        # @return [(Float, Float)]
        def point(share, across, _half) = piece.beside(from + share * (to - from) - begins, across)

        # How much of the wide edge's length the line beside the path has.
        def spread(across, half)
          spread = (1 + bend * across) / (1 + bend.abs * half)
          spread.positive? ? spread : 0.0
        end

        # The same, farther along.
        def later(by) = with(from: from + by, to: to + by, begins: begins + by)
      end

      # Between two corners, from where to where along the path both edges are there, how long each is, and its runs.
      Leg = Value.define(:from, :to, :crowded, :wide, :runs) do
        def run = to - from

        # How far along the path, for a share of what the leg has of one of its edges.
        # @param edge [Symbol] `:crowded` or `:wide`
        def along(share, edge)
          left = share * runs.sum(&edge)
          runs.each do |each|
            length = each.public_send(edge)
            return each.from + (each.to - each.from) * left / length if left <= length && length.positive?
            left -= length
          end
          to
        end

        # The same leg, farther along.
        def later(by) = with(from: from + by, to: to + by, runs: runs.map { _1.later(by) })
      end

      # Over a corner: the point that turns pivot about, the wide edge they fan over as points along it, how long
      # that is, and how far it lies from the pivot on the average. `outward` when the wide edge is the outside.
      Fan = Value.define(:pivot, :edge, :steps, :length, :outward, :along) do
        def self.spread(pivot:, edge:, outward:, along:)
          steps = edge.each_cons(2).map { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
          new(pivot:, edge:, steps:, length: steps.sum, outward:, along:)
        end

        # How far the edge lies from the pivot on the average: looked at in the middle of so many even stretches of it.
        def reach
          (0...LOOKS).sum { |i| at((i + 0.5) / LOOKS).then { |x, y| Math.hypot(x - pivot[0], y - pivot[1]) } } / LOOKS
        end

        # A turn so much of the way over the corner.
        # @return [Span]
        def span(share)
          far = at(share)
          outward ? Span.new(inner: pivot, outer: far, along:) : Span.new(inner: far, outer: pivot, along:)
        end

        # @return [(Float, Float)] the point so much of the way along the edge
        def at(share)
          left, i = share * length, 0
          while i < steps.size
            step = steps[i]
            if left <= step && step > 0
              (x, y), (to_x, to_y) = edge[i], edge[i + 1]
              return [x + (to_x - x) * left / step, y + (to_y - y) * left / step]
            end
            left -= step
            i += 1
          end
          edge.last
        end

        # @return [(Float, Float)] the point so much of the way over the corner, so far across the band
        def point(share, across, half)
          (x, y), (from_x, from_y) = at(share), pivot
          out = spread(across, half)
          [from_x + (x - from_x) * out, from_y + (y - from_y) * out]
        end

        # How far out from the pivot it is, so far across the band; as much is what a line there has of the wide edge's
        # length.
        def spread(across, half) = ((outward ? across : -across) / half + 1) / 2
      end

      LOOKS = 24
      # A bent piece of an edge is said by so many straight ones.
      BENT_STEPS = 4
      private_constant :LOOKS, :BENT_STEPS

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
        Several.new(each, begins)
      end

      # Where turns lie that are lapped evenly at the wide edge: so far along all of it, fans and all.
      module Spans
        # Along the wide edge, all of it.
        def wide = @wide ||= knots.last

        # @param far [Float] along the wide edge; past either end of a closed band it goes on round
        # @return [Span]
        def span(far)
          part, share = part_at(far)
          part.is_a?(Fan) ? part.span(share) : square(part.from + share * (part.to - part.from))
        end

        # The point of such a line that lies so far across the band.
        # @param far [Float] along the wide edge
        # @param across [Float] from the middle towards the outside
        # @return [(Float, Float)]
        def point(far, across)
          part, share = part_at(far)
          part.point(share, across, half)
        end

        # How long the line `across` from the middle of the band is there, for every inch of the wide edge.
        # @param far [Float] along the wide edge
        # @param across [Float] towards the outside
        # @return [Float] none over a corner at the point that turns pivot about
        def spread(far, across) = part_at(far).first.spread(across, half)

        private

        # The run or fan at a place, and how much of it lies before that. Who asks goes along it, so that it is mostly
        # the one that was asked for before.
        def part_at(far)
          far = closed? ? far % wide : far.clamp(0.0, wide)
          near, knots = @near, self.knots
          unless near && knots[near] <= far && far < knots[near + 1]
            @near = near = (knots.bsearch_index { _1 > far } || knots.size - 1) - 1
          end
          begins = knots[near]
          long = knots[near + 1] - begins
          share = (far - begins) / ((long > 1e-12) ? long : 1e-12)
          [parts[near], (share > 1.0) ? 1.0 : share]
        end

        def parts = @parts ||= legs.zip(after).flat_map { |leg, fan| fan ? [*leg.runs, fan] : leg.runs }

        def knots
          @knots ||= parts.reduce([0.0]) { |all, part| all << all.last + (part.is_a?(Fan) ? part.length : part.wide) }
        end
      end
      include Spans

      # The legs and fans of several paths.
      class Several
        include Spans

        def initialize(each, begins)
          @each, @begins = each, begins
        end

        def closed? = false

        # @return [Array<Stretches>] each path's own
        def strands = @each

        def half = @each.first.half

        def legs = @legs ||= @each.zip(@begins).flat_map { |one, at| one.legs.map { _1.later(at) } }

        def fans = @fans ||= @each.flat_map(&:fans)

        def after = @after ||= @each.flat_map(&:after)

        # A place is on the strand that it is on, at its very end too.
        def square(along)
          index = (@begins.rindex { _1 <= along - 1e-9 } || 0).clamp(0, @each.size - 1)
          @each[index].square(along - @begins[index]).with(along:)
        end
      end

      attr_reader :half

      def strands = [self]

      def closed? = @path.closed?

      # The span square to the path.
      def square(along) = Span.new(inner: @path.beside(along, -@half), outer: @path.beside(along, @half), along:)

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
        @common ||= @kept[1].zip(@kept[-1]).map { |(a, b), (c, d)|
          from = (a > c) ? a : c
          to = (b < d) ? b : d
          [from, (to > from) ? to : from]
        }
        @common[index]
      end

      def leg(indices)
        first = indices.first
        runs = indices.map do |index|
          begins = @path.start_of(index) + ((index < first) ? @path.length : 0.0)
          start, stop = common(index)
          piece = @path.pieces[index]
          Run.new(from: begins + start, to: begins + stop, wide: wide_of(index, indices), bend: piece.curvature,
            piece:, begins:, crowded: (stop - start) * [1 - bend_of(index), 0.0].max)
        end
        Leg.new(from: runs.first.from, to: runs.last.to, crowded: runs.sum(&:crowded), wide: runs.sum(&:wide), runs:)
      end

      # The longer edge of a piece, with what a slight bend after it adds.
      def wide_of(index, indices)
        start, stop = common(index)
        slight = index != indices.last || (@path.closed? && fans.empty?)
        (stop - start) * (1 + bend_of(index)) + (slight ? (@path.bends[index] || 0.0).abs * @half : 0.0)
      end

      def bend_of(index) = @path.pieces[index].curvature.abs * @half

      # Points of an edge from one place of a piece to another.
      def beside(piece, from, to, side)
        return [piece.beside(from, side * @half), piece.beside(to, side * @half)] if piece.curvature.zero?
        steps = BENT_STEPS
        (0..steps).map { piece.beside(from + (to - from) * _1 / steps, side * @half) }
      end

      def fan(index)
        return unless corner?(index)
        after = (index + 1) % @path.pieces.size
        side = @path.bends[index].positive? ? 1 : -1
        before_piece, after_piece = @path.pieces[index], @path.pieces[after]
        pivot = before_piece.beside(@kept[-side][index].last, -side * @half)
        begins, ends = common(index).last.clamp(*@kept[side][index]), common(after).first.clamp(*@kept[side][after])
        edge = [*beside(before_piece, begins, before_piece.length, side), *@path.corner_points(index, side * @half),
          *beside(after_piece, 0.0, ends, side)]
        Fan.spread(pivot:, edge:, outward: side.positive?, along: @path.start_of(after))
      end
    end
  end
end
