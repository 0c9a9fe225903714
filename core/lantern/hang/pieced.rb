# frozen_string_literal: true

module Lantern
  module Hang
    # A back that no sheet holds whole, pieced edge to edge: from fields side by side and one above the other, each no
    # larger than what of the back lies in it, or from stretches along the band, whichever takes the fewest sheets.
    class Pieced
      # Level lines at which it is looked at, in inches apart.
      STEP = 1 / 8r

      # @param filled [Form::Silhouette] its outline
      # @param sheets [Array<(Numeric, Numeric)>] width and length of those there are
      # @param open [Proc, nil] answers the outline of what it leaves free; asked only where it is needed
      # @param band [(Form::Path, Numeric)] the middle of the band and how far the back reaches to both sides of it,
      #   where it may be pieced along it
      def initialize(filled, sheets, open: nil, band: nil)
        @filled, @open, @band = filled, open, band
        @sheets = sheets.flat_map { |sides| [sides, sides.reverse] }.uniq
      end

      # @return [Array<(Float, Float)>] width and height of each piece, in inches
      def boxes
        return [whole] if @sheets.any? { |across, along| whole[0] <= across && whole[1] <= along }
        @boxes ||= [*ways.map { |across, along| fields(across, along) }, *(stretches_along if @band)]
          .select { |boxes| sheets_for(boxes) }.min_by { |boxes| [sheets_for(boxes), boxes.size] } || [whole]
      end

      private

      # Most stretches that a band is pieced from.
      MOST = 24
      private_constant :MOST

      def whole = [@filled.width, @filled.height]

      # How many of the sheet that holds most of them these take, about; nil where one fits on none.
      def sheets_for(boxes)
        shares = boxes.map do |wide, high|
          @sheets.map { |across, along| (across / wide).floor * (along / high).floor }.max
        end
        (shares.all? { _1&.positive? }) ? shares.sum { Rational(1, _1) }.ceil : nil
      end

      # The band in two, three and more alike along it, each laid as its ends lie.
      def stretches_along
        path, reach = @band
        return [] unless path.strands.one?
        (2..MOST).map do |count|
          (0...count).map { |i| box_of(path, reach, path.length * i / count, path.length / count) }
        end
      end

      def box_of(path, reach, from, length)
        places = (0..12).map { |i| [-reach, reach].map { |side| path.beside(from + length * i / 12, side) } }
        first, last = [places.first, places.last].map { |pair| pair.transpose.map { _1.sum / 2 } }
        turn = Math.atan2(last[1] - first[1], last[0] - first[0])
        turned = places.flatten(1).map do |x, y|
          [x * Math.cos(turn) + y * Math.sin(turn), y * Math.cos(turn) - x * Math.sin(turn)]
        end
        turned.transpose.map { |side| side.max - side.min + STEP.to_f / 2 }
      end

      def ways = @sheets.map { |across, along| [(whole[0] / across).ceil, (whole[1] / along).ceil] }.uniq

      def fields(across, along)
        return [whole] if across == 1 && along == 1
        wide, high = whole[0] / across, whole[1] / along
        spans = Hash.new { |all, field| all[field] = [Float::INFINITY] * 2 + [-Float::INFINITY] * 2 }
        rows.each do |level, stretches|
          row = (level / high).floor.clamp(0, along - 1)
          stretches.each do |from, to|
            ((from / wide).floor.clamp(0, across - 1)..(to / wide).floor.clamp(0, across - 1)).each do |column|
              left, right = [from, column * wide].max, [to, (column + 1) * wide].min
              widen(spans[[row, column]], left, right, level) if right > left
            end
          end
        end
        spans.values.map { |left, top, right, bottom| [right - left, [bottom - top + STEP.to_f, high].min] }
      end

      def widen(span, left, right, level)
        span[0], span[1] = [span[0], left].min, [span[1], level].min
        span[2], span[3] = [span[2], right].max, [span[3], level].max
      end

      # Where every level line crosses the back, from its box's left and top.
      def rows
        @rows ||= begin
          left, top, = @filled.box
          open = @open&.call
          (0...(whole[1] / STEP).ceil).map do |i|
            level = [(i + 0.5) * STEP, whole[1]].min
            free = open ? open.chords(top + level) : []
            [level, without(@filled.chords(top + level), free).map { |from, to| [from - left, to - left] }]
          end
        end
      end

      def without(stretches, free)
        free.reduce(stretches) do |left, (from, to)|
          left.flat_map { |a, b| [[a, [b, from].min], [[a, to].max, b]].select { |c, d| d > c } }
        end
      end
    end
  end
end
