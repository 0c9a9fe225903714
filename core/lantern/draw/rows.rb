# frozen_string_literal: true

module Lantern
  module Draw
    # Areas looked at row by row: on every level line, from where to where they reach. Rows are whole numbers, a step
    # apart; what lies between two of them is taken as it is on the nearer.
    class Rows
      # @return [Hash{Integer=>Array<(Float, Float)>}] stretches of every row, from left to right, none over another
      attr_reader :stretches
      attr_reader :step

      class << self
        # What strips, coils and panels lie over.
        # @param patches [Array<Place::Stroke, Place::Polygon>]
        def of_patches(patches, step)
          rows = Hash.new { |all, row| all[row] = [] }
          patches.each { |patch| patch.rows(step) { |row, from, to| rows[row] << [from, to] } }
          new(rows, step)
        end

        # What lies within outlines.
        # @param outlines [Array<Array<(Float, Float)>>]
        def of_outlines(outlines, step) = of_patches(outlines.map { Place::Polygon.new(corners: _1) }, step)
      end

      def initialize(rows, step)
        @step = step
        @stretches = rows.transform_values { merged(_1) }
      end

      # @return [Float] square inches
      def area = stretches.each_value.sum { |row| row.sum { |from, to| to - from } } * step

      # Both together.
      # @param other [Rows] with the same step
      # @return [Rows]
      def and(other) = Rows.new(stretches.merge(other.stretches) { |_, own, more| own + more }, step)

      # What of it another leaves bare.
      # @param other [Rows] with the same step
      # @return [Rows]
      def less(other)
        Rows.new(stretches.to_h { |row, own| [row, outside(own, other.stretches.fetch(row, []))] }, step)
      end

      # Stretches that lie on one another from row to row, together.
      # @param least [Float] what is shorter is left out
      # @return [Array<Array<(Float, Float, Float)>>] each a row's level, from and to
      def places(least)
        all = stretches.sort.flat_map { |row, own|
          own.filter_map { |from, to| [row, from, to] if to - from > least }
        }
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
        all.each_index.group_by { root.call(_1) }
          .map { |_, members| members.map { |i| all[i].then { |row, from, to| [row * step, from, to] } } }
      end

      private

      def merged(list)
        last = nil
        list.sort_by(&:first).each_with_object([]) do |(from, to), all|
          if last && from <= last[1]
            last[1] = to if to > last[1]
          else
            all << last = [from, to]
          end
        end
      end

      def outside(own, others)
        own.flat_map do |from, to|
          left = []
          others.each do |begins, ends|
            next if ends <= from
            break if begins >= to
            left << [from, begins] if begins > from
            from = ends
          end
          (from < to) ? left << [from, to] : left
        end
      end
    end
  end
end
