# frozen_string_literal: true

module Lantern
  module Place
    # So many equal discs as go into an outline, none over another, none further over the edge than may be: from the
    # middle, and mirrored where the outline is. In a circle up to 20 lie as densely as anybody knows ({InCircle});
    # elsewhere in rows like cells of a honeycomb, in many shifts and both ways round, and one more wherever one goes.
    class Packing
      # Shifts that are tried, by how many discs' squares the outline's box holds at most.
      SHIFTS = {16 => 20, 40 => 10, 150 => 6, Float::INFINITY => 3}.freeze
      # Where one more goes is looked for at places so many to a disc's width; looked for where no more lie than this.
      LOOKS, LOOKED = 5, 60
      ROW = Math.sqrt(0.75)
      SAME = 1e-6
      # Points along the edges are so many to what a disc keeps clear.
      EDGE = 6.0
      private_constant :EDGE, :LOOKS, :LOOKED, :ROW, :SAME

      # @param outline [Form::Silhouette]
      # @param across [Numeric] inches, a disc's width
      # @param over [Numeric] how far a disc may lie over the edge, inches
      def initialize(outline, across, over: 0)
        @outline, @across = outline, across.to_f
        # So far its middle has to stay from the edge.
        @clear = @across / 2 - over.to_f
        @left, @top, @right, @bottom = outline.box
      end

      # @return [Array<(Float, Float)>] the middle of each
      def places = @places ||= in_circle || in_rows.max_by(&:size)

      private

      def middle = [(@left + @right) / 2, (@top + @bottom) / 2]

      # Its middle and its radius, if it is a circle: the one through three of its points, on which all others lie.
      # @return [(Float, Float, Float), nil]
      def round
        return unless @outline.outlines.one?
        points = @outline.outlines.first
        x, y = through(*[0, 1, 2].map { points[_1 * points.size / 3] })
        return unless x
        near, far = points.map { |px, py| Math.hypot(px - x, py - y) }.minmax
        [x, y, far] if far - near < SAME * far
      end

      # The middle of the circle through three points.
      def through((ax, ay), (bx, by), (cx, cy))
        twice = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by))
        return if twice.abs < SAME
        a, b, c = ax**2 + ay**2, bx**2 + by**2, cx**2 + cy**2
        [a * (by - cy) + b * (cy - ay) + c * (ay - by), a * (cx - bx) + b * (ax - cx) + c * (bx - ax)]
          .map { _1 / twice }
      end

      def in_circle
        x, y, radius = round
        return unless radius
        reach = radius - @clear
        number, places = InCircle.all.reverse_each.find { |_, each| InCircle.reach(each, @across) <= reach + SAME }
        # Where as many go as are known, more may.
        return if number.nil? || number == InCircle.all.keys.max
        scale = InCircle.scale(places, @across)
        places.map { |px, py| [x + px * scale, y + py * scale] }
      end

      def in_rows
        found = ways.map { |turned, x, y| rows(turned, x, y) }
        most = found.map(&:size).max
        found.select { _1.size == most }.first(2).map { more(_1) }
      end

      # Whether rows run down, and how far they are shifted. Mirrored, a row has a disc in the middle, or two beside it.
      def ways
        squares = (@right - @left) * (@bottom - @top) / @across**2
        tried = SHIFTS.find { |most, _| squares < most }.last
        shifts = (0...tried).map { _1.fdiv(tried) }
        return [false].product([0.0, 0.5], shifts) + [true].product([0.0, 0.5], shifts) if mirrored?
        [false, true].product(shifts.select.with_index { |_, i| i.even? }, shifts)
      end

      def mirrored?
        return @mirrored if defined?(@mirrored)
        x, = middle
        levels = (1..12).map { @top + (@bottom - @top) * _1 / 13.0 }
        @mirrored = levels.all? do |y|
          ends = @outline.chords(y).flatten
          ends.zip(ends.reverse).all? { |from, to| (from + to - 2 * x).abs < 1e-3 * @across }
        end
      end

      # Rows a honeycomb's height apart. `x` shifts a row by a share of a disc's width from the middle, `y` all of them
      # by a share of two rows; turned, rows run down, the middle one through the middle.
      def rows(turned, x, y)
        first, last = turned ? [@left, @right] : [@top, @bottom]
        begins, ends = turned ? [@top, @bottom] : [@left, @right]
        shifted = (first + last) / 2 + (turned ? 0.0 : y * 2 * @across * ROW)
        (((first - shifted) / (@across * ROW)).ceil..((last - shifted) / (@across * ROW)).floor).flat_map do |row|
          at = shifted + row * @across * ROW
          from = (begins + ends) / 2 + ((row.odd? ? 0.5 : 0.0) + (turned ? y : x)) * @across
          (((begins - from) / @across).ceil..((ends - from) / @across).floor)
            .map { |each| turned ? [at, from + each * @across] : [from + each * @across, at] }
            .select { |px, py| fits?(px, py) }
        end
      end

      def fits?(x, y) = chords(y).any? { |from, to| x.between?(from, to) } && clear?(x, y)

      def chords(y) = (@chords ||= {})[y] ||= @outline.chords(y)

      # Whether every edge is so far away: only edges in the cells beside it can be nearer.
      def clear?(x, y)
        cell, least = cell(x, y), @clear**2 * (1 - SAME)
        BESIDE.none? { |other| edges[cell + other]&.any? { |px, py| (px - x)**2 + (py - y)**2 < least } }
      end

      def edges = @edges ||= @outline.points(@clear / EDGE).group_by { |x, y| cell(x, y) }

      # Cells are numbered row by row, so many to a row.
      def cell(x, y) = (y / @clear).floor * ROW_OF_CELLS + (x / @clear).floor

      ROW_OF_CELLS = 1 << 20
      BESIDE = [-1, 0, 1].product([-1, 0, 1]).map { |row, column| row * ROW_OF_CELLS + column }.freeze
      private_constant :ROW_OF_CELLS, :BESIDE

      # Wherever one more goes: in a mirrored outline in the middle, or two at a time.
      def more(places)
        return places if places.size > LOOKED
        x, = middle
        free = spots.select { |spot| apart?(spot, places) }
        free.each_with_object(places.dup) do |spot, all|
          two = (mirrored? && (spot[0] - x).abs > SAME) ? [spot, [2 * x - spot[0], spot[1]]] : [spot]
          next if two.size == 2 && (two[0][0] - two[1][0]).abs < @across
          all.concat(two) if two.all? { |each| apart?(each, all) }
        end
      end

      def apart?((x, y), places) = places.all? { |px, py| (px - x)**2 + (py - y)**2 >= @across**2 * (1 - SAME) }

      # Everywhere that a disc's middle may be; from the middle to the left, where it is mirrored.
      def spots
        @spots ||= begin
          step = @across / LOOKS
          x, = middle
          to_left = ((x - @left) / step).ceil
          to_right = mirrored? ? 0 : to_left
          levels = (0..((@bottom - @top) / step).floor).map { @top + _1 * step }
          levels.product((-to_left..to_right).to_a).map { |y, i| [x + i * step, y] }.select { |px, py| fits?(px, py) }
        end
      end
    end
  end
end
