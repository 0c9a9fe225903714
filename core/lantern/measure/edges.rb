# frozen_string_literal: true

module Lantern
  module Measure
    # The corners of a sheet, tapped with a finger, moved to where its own edges meet: every side is looked for
    # where the picture's brightness changes most, near where it was tapped, and a line is laid through what was found
    # once the lens's bend is taken out ({Lens}).
    #
    # Source: edges at the largest gradient, and a line by total least squares that leaves out what lies far off
    # (published: any handbook of computer vision; the rejection at three spreads is common practice there).
    class Edges
      # Along every side it is looked at so many places, away from the corners, where fingers and curls are.
      PLACES = 60
      FROM, TO = 0.08, 0.92
      # A side is believed when so many of its places agree, and lie within this many pixels of one line.
      AGREE = 0.6
      STRAIGHT = 2.0
      # The change of brightness that is an edge, of 255.
      CHANGE = 12
      ROUNDS = 3

      # @param reach [Numeric] pixels to either side of what was tapped
      # @yieldparam x [Integer] a pixel
      # @yieldparam y [Integer]
      # @yieldreturn [Numeric, nil] its brightness, 0 to 255; nil outside the picture
      def initialize(corners, reach:, &brightness)
        @corners, @reach, @brightness = corners, reach.ceil, brightness
      end

      class << self
        # The line closest to some places, as one of them and a direction.
        def line_through(points)
          x, y = [0, 1].map { |axis| points.sum { _1[axis] } / points.size }
          xx, yy, xy = [[0, 0], [1, 1], [0, 1]].map { |i, j| points.sum { (_1[i] - [x, y][i]) * (_1[j] - [x, y][j]) } }
          angle = Math.atan2(2 * xy, xx - yy) / 2
          [[x, y], [Math.cos(angle), Math.sin(angle)]]
        end

        # How far a place lies off a line, to its right.
        def off(((x, y), (u, v)), point) = (point[0] - x) * -v + (point[1] - y) * u

        # Where two lines cross.
        # @return [(Float, Float), nil]
        def meet((one, (u, v)), (other, (s, t)))
          whole = u * t - v * s
          return if whole.abs < 1e-6
          along = ((other[0] - one[0]) * t - (other[1] - one[1]) * s) / whole
          [one[0] + along * u, one[1] + along * v]
        end
      end

      # What was found along every side, from the first corner to the second and on.
      # @return [Array<Array<(Float, Float)>>, nil] nil when not every side can be seen
      def sides
        return @sides if defined?(@sides)
        found = (0..3).map { |i| side(@corners[i], @corners[(i + 1) % 4]) }
        @sides = (found if found.all?)
      end

      # Where the sides meet once the lens's bend is taken out, each near where it was tapped.
      # @param lens [Lens]
      # @return [Array<(Float, Float)>, nil] the four corners, straightened; nil when not every side can be seen
      def corners(lens)
        return unless sides
        lines = sides.map { |places| Edges.line_through(places.map { lens.straight(_1) }) }
        found = (0..3).map { |i| Edges.meet(lines[i - 1], lines[i]) }
        found if found.all? && found.zip(@corners).all? { |a, b| near?(a, lens.straight(b)) }
      end

      private

      def near?(a, b) = Math.hypot(a[0] - b[0], a[1] - b[1]) <= 2 * @reach

      # What lies along one side, without what lies off it: a lens may bow it as a parabola does.
      def side(from, to)
        points = (0...PLACES).filter_map { |i| edge_at(from, to, FROM + (TO - FROM) * i / (PLACES - 1)) }
        ROUNDS.times do
          return if points.size < AGREE * PLACES
          away = off_bow(points).map(&:abs)
          spread = Math.sqrt(away.sum { _1**2 } / away.size)
          return ((spread <= STRAIGHT) ? points : nil) if away.max <= [3 * spread, 1.0].max
          points = points.zip(away).filter_map { |point, far| point if far <= [2 * spread, 0.5].max }
        end
        points if points.size >= AGREE * PLACES
      end

      # How far places lie off the parabola closest to them.
      def off_bow(points)
        line = Edges.line_through(points)
        (x, y), (u, v) = line
        along = points.map { |px, py| (px - x) * u + (py - y) * v }
        off = points.map { Edges.off(line, _1) }
        middle = along.sum { _1**2 } / along.size
        bow = along.map { _1**2 - middle }
        size = bow.sum { _1**2 }
        share = size.zero? ? 0.0 : bow.zip(off).sum { |a, b| a * b } / size
        off.zip(bow).map { |a, b| a - share * b }
      end

      # Across the side: where brightness changes most, between two pixels by the parabola through three changes.
      def edge_at((ax, ay), (bx, by), share)
        length = Math.hypot(bx - ax, by - ay)
        normal = [-(by - ay) / length, (bx - ax) / length]
        x, y = ax + (bx - ax) * share, ay + (by - ay) * share
        light = (-@reach - 1..@reach + 1).map { |step| between(x + normal[0] * step, y + normal[1] * step) }
        return if light.any?(&:nil?)
        changes = light.each_cons(3).map { |before, _, after| (after - before) / 2.0 }
        best = (0...changes.size).max_by { |i| changes[i].abs }
        return if changes[best].abs < CHANGE
        step = best - @reach + peak(changes[best - 1], changes[best], changes[best + 1], best)
        [x + normal[0] * step, y + normal[1] * step]
      end

      def peak(before, most, after, index)
        return 0.0 if index.zero? || after.nil?
        bend = before.abs - 2 * most.abs + after.abs
        bend.zero? ? 0.0 : ((before.abs - after.abs) / (2 * bend)).clamp(-0.5, 0.5)
      end

      # Brightness between pixels, from the four about it.
      def between(x, y)
        left, top = x.floor, y.floor
        u, v = x - left, y - top
        four = [[left, top], [left + 1, top], [left, top + 1], [left + 1, top + 1]].map { |at| @brightness.call(*at) }
        return if four.any?(&:nil?)
        (four[0] * (1 - u) + four[1] * u) * (1 - v) + (four[2] * (1 - u) + four[3] * u) * v
      end
    end
  end
end
