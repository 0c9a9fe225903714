# frozen_string_literal: true

module Lantern
  module Draw
    # Areas on level lines, so many to the inch: on every line, from where to where each reaches. Across the lines they
    # are as exact as what they are made from.
    class Rows
      # @return [Hash{Integer=>Array<(Float, Float)>}] the stretches of every line that has any, from left to right,
      #   none touching the next
      attr_reader :stretches
      # @return [Float] from one line to the next, inches
      attr_reader :step

      class << self
        # What strips, coils and panels lie over.
        # @param patches [Array<Place::Stroke, Place::Polygon>]
        # @param step [Float] inches
        def of_patches(patches, step)
          found = {}
          patches.each do |patch|
            patch.rows(step) { |row, from, to| (found[row] ||= []) << [from, to] }
          end
          found.each { |row, stretches| found[row] = joined(stretches) }
          new(found, step)
        end

        # What lies within outlines.
        # @param outlines [Array<Array<(Float, Float)>>]
        # @param step [Float] inches
        def of_outlines(outlines, step) = of_patches(outlines.map { Place::Polygon.new(corners: _1) }, step)

        # Stretches of one line in any order, as those that none touches.
        # @param stretches [Array<(Float, Float)>]
        # @return [Array<(Float, Float)>]
        def joined(stretches)
          return stretches if stretches.size < 2
          from = to = nil
          found = []
          stretches.sort_by(&:first).each do |left, right|
            if to && left <= to
              to = right if right > to
            else
              found << [from, to] if to
              from, to = left, right
            end
          end
          found << [from, to]
        end
      end

      def initialize(stretches, step)
        @stretches, @step = stretches, step
      end

      # @return [Float] square inches
      def area = stretches.each_value.sum { |line| line.sum { |from, to| to - from } } * step

      # Both together.
      # @param other [Rows] on the same lines
      # @return [Rows]
      def and(other)
        Rows.new(stretches.merge(other.stretches) { |_, own, more| Rows.joined(own + more) }, step)
      end

      # What of it another leaves bare.
      # @param other [Rows] on the same lines
      # @return [Rows]
      def less(other)
        Rows.new(stretches.to_h { |row, own| [row, uncovered(own, other.stretches.fetch(row, []))] }, step)
      end

      # Stretches that touch from line to line, together.
      # @param least [Float] what is shorter is left out
      # @return [Array<Array<(Float, Float, Float)>>] each a line's level, from and to
      def places(least)
        all = longer([least, step].max)
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

      # @return [Array<(Float, Float)>] what is left of some stretches of a line
      def uncovered(own, others)
        return own if others.empty?
        found, i = [], 0
        own.each do |from, to|
          i += 1 while i < others.size && others[i][1] <= from
          j = i
          while j < others.size && others[j][0] < to
            left, right = others[j]
            found << [from, left] if left > from
            from = right
            j += 1
          end
          found << [from, to] if from < to
        end
        found
      end

      # Line by line, from left to right.
      # @return [Array<(Integer, Float, Float)>] a line's number, from and to
      def longer(least)
        stretches.sort.flat_map do |row, line|
          line.filter_map { |from, to| [row, from, to] if to - from >= least }
        end
      end
    end
  end
end
