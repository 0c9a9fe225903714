# frozen_string_literal: true

module Lantern
  module Draw
    # Areas on a grid of square cells, a whole number for every row: a bit is set where a cell's middle lies within.
    class Rows
      # A grid: how large a cell is, where its first column begins, and how many columns it has.
      Grid = Value.define(:step, :left, :columns) do
        # @param box [Array<Float>] left, top, right and bottom of what is looked at
        def self.over(box, step) = new(step:, left: box[0], columns: ((box[2] - box[0]) / step).ceil)
      end

      # @return [Hash{Integer=>Integer}] the bits of every row that has any
      attr_reader :bits
      attr_reader :grid

      class << self
        # What strips, coils and panels lie over.
        # @param patches [Array<Place::Stroke, Place::Polygon>]
        def of_patches(patches, grid)
          bits = Hash.new(0)
          step, left, columns = grid.step, grid.left, grid.columns
          patches.each do |patch|
            patch.rows(step) do |row, from, to|
              first, past = ((from - left) / step - 0.5).ceil, ((to - left) / step - 0.5).ceil
              first = 0 if first < 0
              past = columns if past > columns
              bits[row] |= ((1 << (past - first)) - 1) << first if past > first
            end
          end
          new(bits, grid)
        end

        # What lies within outlines.
        # @param outlines [Array<Array<(Float, Float)>>]
        def of_outlines(outlines, grid) = of_patches(outlines.map { Place::Polygon.new(corners: _1) }, grid)
      end

      def initialize(bits, grid)
        @bits, @grid = bits, grid
      end

      # @return [Float] square inches
      def area = bits.each_value.sum { _1.to_s(2).count("1") } * grid.step**2

      # Both together.
      # @param other [Rows] on the same grid
      # @return [Rows]
      def and(other) = Rows.new(bits.merge(other.bits) { |_, own, more| own | more }, grid)

      # What of it another leaves bare.
      # @param other [Rows] on the same grid
      # @return [Rows]
      def less(other) = Rows.new(bits.to_h { |row, own| [row, own & ~other.bits.fetch(row, 0)] }, grid)

      # Stretches that touch from row to row, together.
      # @param least [Float] what is shorter is left out
      # @return [Array<Array<(Float, Float, Float)>>] each a row's level, from and to
      def places(least)
        all = stretches([(least / grid.step).floor, 1].max)
        belongs = all.each_index.to_a
        root = ->(i) { (belongs[i] == i) ? i : belongs[i] = root.call(belongs[i]) }
        below = 0
        all.each_with_index do |(row, from, to), i|
          below += 1 while all[below][0] < row - 1 || (all[below][0] == row - 1 && all[below][2] <= from)
          (below...i).each do |j|
            break if all[j][0] >= row || all[j][1] >= to
            belongs[root.call(j)] = root.call(i)
          end
        end
        all.each_index.group_by { root.call(_1) }.map { |_, members| members.map { placed(all[_1]) } }
      end

      private

      # Every run of set bits of at least so many, row by row, from left to right.
      # @return [Array<(Integer, Integer, Integer)>] a row, its first column and the one past the last
      def stretches(least)
        bits.sort.flat_map do |row, own|
          long = longest(own, least)
          found = []
          until long.zero?
            first = (long & -long).bit_length - 1
            rest = long >> first
            count = (~rest & (rest + 1)).bit_length - 1
            found << [row, first, first + count]
            long = (rest >> count) << (first + count)
          end
          found
        end
      end

      # What is left of the bits when runs of fewer than so many are taken out.
      def longest(own, least)
        kept, have = own, 1
        while have < least && kept.positive?
          by = [have, least - have].min
          kept &= kept >> by
          have += by
        end
        spread = 1
        while spread < least && kept.positive?
          by = [spread, least - spread].min
          kept |= kept << by
          spread += by
        end
        kept
      end

      def placed((row, first, past)) =
        [row * grid.step, grid.left + first * grid.step, grid.left + past * grid.step]
    end
  end
end
