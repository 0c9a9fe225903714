# frozen_string_literal: true

module Lantern
  module Cut
    # Strips of one kind in a rectangle of cloth, where every cut goes straight through from edge to
    # edge, as scissors and a rotary cutter go; and four blocks round a hole where that gives more.
    # Source: the recursion of Gilmore and Gomory, "Multistage cutting stock problems of two and more
    # dimensions" (1965).
    class Layout
      # A rectangle that nothing has been cut from, its corner at `x`, `y`; `y` runs along the cloth.
      Room = Value.define(:x, :y, :width, :length) do
        def area = width * length

        def any? = width.positive? && length.positive?

        # One room of two that share a whole side.
        # @return [Room, nil] nil when they do not
        def with_neighbour(other)
          if x == other.x && width == other.width && y + length == other.y
            with(length: length + other.length)
          elsif y == other.y && length == other.length && x + width == other.x
            with(width: width + other.width)
          end
        end

        # Rooms side by side as one: nothing was cut between them.
        # @param rooms [Array<Room>]
        def self.joined(rooms)
          one, other = rooms.permutation(2).find { |first, second| first.with_neighbour(second) }
          one ? joined(rooms - [one, other] + [one.with_neighbour(other)]) : rooms
        end
      end

      # So many strips side by side and row after row. `turned` when they run across the cloth, `bias`
      # when they run askew and are joined to one length, `wheel` when it is one of four round a hole.
      Block = Value.define(:x, :y, :width, :length, :columns, :rows, :turned, :bias, :wheel) do
        def initialize(wheel: false, **given) = super
      end

      # One kind of strip: how wide and long it is, and which way it may lie.
      Kind = Value.define(:width, :length, :grain) do
        def area = width * length

        def bias? = grain == :bias

        # How much of the sheet's width and of its length one strip takes, for every way it may lie.
        def cells = {along: [[width, length]], across: [[length, width]]}
          .fetch(grain) { [[width, length], [length, width]].uniq }
      end

      # More places for a cut than this are not all tried; then only two blocks are.
      MOST_PLACES = 900
      # Where a side has more sums of the strip's sides than this, one block is taken as it comes.
      MOST_SUMS = 20_000
      # More pinwheels than this are not all tried.
      MOST_WHEELS = 2_000
      # No side is so many parts long.
      MOST_PARTS = 1 << 40

      attr_reader :kind

      # @param kind [Kind]
      def initialize(kind)
        @kind = kind
        @known = {}
        # Whole parts of an inch, in which every sum of the strip's sides is a whole number.
        @parts = [kind.width, kind.length].map { _1.to_r.denominator }.reduce(:lcm)
        @wide, @long = [kind.width, kind.length].map { (_1 * @parts).to_i }
        @cells = kind.bias? ? [] : kind.cells.map { |cell| cell.map { (_1 * @parts).to_i } }
      end

      # How many strips come out of a room: exact, where few enough places for a cut are possible. On the
      # bias they are cut from one joined length: area over width (published: the rule for continuous
      # bias strips).
      def most(room) = kind.bias? ? (room.area / kind.area).floor : whole(parts(room.width), parts(room.length)).first

      # What no layout can better: the count where it is exact, else what the area holds.
      def ceiling(room)
        most = most(room)
        (kind.bias? || !exact?(parts(room.width), parts(room.length))) ? (room.area / kind.area).floor : most
      end

      # All the strips that come out of a room.
      # @return [(Array<Block>, Array<Room>)] where they lie, and what is left
      def fill(room)
        return on_the_bias(room, most(room)) if kind.bias?
        most, cut, at = whole(parts(room.width), parts(room.length))
        return [[], [room]] if most.zero?
        return place(room, *at.first(2), *at.last(2).map { Rational(_1, @parts) }) if cut == :block
        return [at.map { wheel_block(room, *_1) }, []] if cut == :wheel
        halves(room, cut, Rational(at, @parts)).map { fill(_1) }.transpose.map(&:flatten)
      end

      # Fewer strips than the room holds, taking as little of it as can be, so that what is left is one
      # large piece.
      # @return [(Array<Block>, Array<Room>)]
      def part(room, count)
        return on_the_bias(room, count) if kind.bias?
        strips = kind.cells.flat_map do |wide, deep|
          columns, rows = (room.width / wide).floor, (room.length / deep).floor
          next [] if columns.zero? || rows.zero?
          [[columns, (count.to_r / columns).ceil], [(count.to_r / rows).ceil, rows]]
            .select { |a, b| a <= columns && b <= rows }
            .map { |a, b| [a, b, wide, deep] }
        end
        best = strips.min_by { |columns, rows, wide, deep| taken(room, columns, rows, wide, deep) } or return fill(room)
        place(room, *best)
      end

      private

      # One block in the corner of a room, and the two rooms beside it, cut so that the larger one is as
      # large as can be.
      def place(room, columns, rows, wide, deep)
        used_width, used_length = columns * wide, rows * deep
        block = Block.new(x: room.x, y: room.y, width: used_width, length: used_length, columns:, rows:,
          turned: wide != kind.width, bias: false)
        beside = room.width - used_width
        beyond = room.length - used_length
        long_side = beside * room.length >= beyond * room.width
        rests = [Room.new(x: room.x + used_width, y: room.y, width: beside,
          length: long_side ? room.length : used_length),
          Room.new(x: room.x, y: room.y + used_length, width: long_side ? used_width : room.width, length: beyond)]
        [[block], rests.select(&:any?)]
      end

      # What a block takes of a room, with the lesser of the rooms beside it.
      def taken(room, columns, rows, wide, deep)
        room.area - [(room.width - columns * wide) * room.length, (room.length - rows * deep) * room.width].max
      end

      def on_the_bias(room, count)
        deep = count * kind.area / room.width
        block = Block.new(x: room.x, y: room.y, width: room.width, length: deep, columns: 1, rows: count, turned: false,
          bias: true)
        [[block], [room.with(y: room.y + deep, length: room.length - deep)].select(&:any?)]
      end

      def halves(room, cut, at)
        return [room.with(width: at), room.with(x: room.x + at, width: room.width - at)] if cut == :width
        [room.with(length: at), room.with(y: room.y + at, length: room.length - at)]
      end

      def parts(inches) = (inches * @parts).floor

      # Whether every place for a cut is tried.
      def exact?(width, length)
        @cells.one? || few?(width) && few?(length) &&
          (places(width).size + 1) * (places(length).size + 1) <= MOST_PLACES
      end

      def few?(side) = (side / @long + 1) * (side / @wide + 1) <= MOST_SUMS

      # The most strips, and how: one block of columns and rows, or one cut through and both halves.
      # @return [(Integer, Symbol, Object)]
      def plan(width, length)
        # What is beyond the last strip does not count.
        width, length = reach(width), reach(length)
        @known[width * MOST_PARTS + length] ||= halved(width, length, blocks(width, length))
      end

      # The same of a whole room, which a pinwheel may fill, too.
      def whole(width, length) = (@whole ||= {})[[width, length]] ||= wheeled(width, length, plan(width, length))

      # A pinwheel, where it gives more than cuts from edge to edge do and their area leaves room for more: four blocks
      # round a hole, every other one turned. Looked at where few can be.
      # Source: H. Steudel, Generating pallet loading patterns (1979), the four-block pattern.
      def wheeled(width, length, best)
        wheels = @cells.one? ? 0 : (width / @wide)**2 * (length / @long) * (length / @wide)
        return best if best[0] >= width * length / (@wide * @long) || wheels > MOST_WHEELS || !wheels.positive?
        corners(width, length) do |four|
          count = four.sum { |_, _, columns, rows, _| columns * rows }
          best = [count, :wheel, four] if count > best[0] && apart?(four)
        end
        best
      end

      # Blocks in the four corners, going round: each as long as the one before it leaves room for.
      # @yieldparam four [Array<(Integer, Integer, Integer, Integer, Boolean)>] left, top, columns, rows, turned
      def corners(width, length)
        across, up = (1..width / @wide), (1..length / @long)
        across.to_a.product(up.to_a, (1..length / @wide).to_a, across.to_a) do |first, deep, second, third|
          beside, beyond = (width - first * @wide) / @long, (length - second * @wide) / @long
          last, low = (width - third * @wide) / @long, (length - deep * @long) / @wide
          next unless [beside, beyond, last, low].all?(&:positive?)
          yield [[0, 0, first, deep, false], [width - beside * @long, 0, beside, second, true],
            [width - third * @wide, length - beyond * @long, third, beyond, false],
            [0, length - low * @wide, last, low, true]]
        end
      end

      # Whether those that lie across from each other do not overlap.
      def apart?(four)
        four.map { |x, y, columns, rows, turned|
          wide, deep = turned ? [@long, @wide] : [@wide, @long]
          [x, y, x + columns * wide, y + rows * deep]
        }.then { |a, b, c, d|
          (a[2] <= c[0] || a[3] <= c[1]) && (d[2] <= b[0] || b[3] <= d[1])
        }
      end

      def wheel_block(room, left, top, columns, rows, turned)
        wide, deep = turned ? [kind.length, kind.width] : [kind.width, kind.length]
        Block.new(x: room.x + Rational(left, @parts), y: room.y + Rational(top, @parts), width: columns * wide,
          length: rows * deep, columns:, rows:, turned:, bias: false, wheel: true)
      end

      # Whether a cut through gives more than one block; up to the middle, where both halves are cut in their
      # best way whichever is which.
      def halved(width, length, best)
        return best if @cells.one?
        bound = width * length / (@wide * @long)
        deep = exact?(width, length)
        places(width).each do |at|
          break if best[0] >= bound || (deep && at * 2 > width)
          both = most_of(at, length, deep) + most_of(width - at, length, deep)
          best = [both, :width, at] if both > best[0]
        end
        places(length).each do |at|
          break if best[0] >= bound || (deep && at * 2 > length)
          both = most_of(width, at, deep) + most_of(width, length - at, deep)
          best = [both, :length, at] if both > best[0]
        end
        best
      end

      def most_of(width, length, deep) = (deep ? plan(width, length) : blocks(width, length))[0]

      def blocks(width, length)
        wide, deep = @cells[0]
        straight = [(width / wide) * (length / deep), :block, [width / wide, length / deep, wide, deep]]
        return straight if @cells.one?
        turned = (width / deep) * (length / wide)
        (turned > straight[0]) ? [turned, :block, [width / deep, length / wide, deep, wide]] : straight
      end

      # Where a cut can be of use: at sums of the strip's sides; nowhere, where they are very many.
      def places(side) = (@places ||= {})[side] ||=
                           few?(side) ? sums(side).select { _1.positive? && _1 < side }
                             .uniq.sort : []

      # As far as sums of the strip's sides go.
      def reach(side) = (@reach ||= {})[side] ||= @cells.one? ? side : (0..side / @long)
        .map { |longs| longs * @long + (side - longs * @long) / @wide * @wide }.max

      def sums(side) =
        (0..side / @long).flat_map { |longs| (0..(side - longs * @long) / @wide).map { longs * @long + _1 * @wide } }
    end
  end
end
