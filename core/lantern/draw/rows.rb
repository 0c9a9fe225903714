# frozen_string_literal: true

module Lantern
  module Draw
    # Areas on level lines, so many to the inch: on every line, from where to where each reaches. Across the lines they
    # are as exact as what they are made from.
    #
    #   square = Lantern::Place::Polygon.new(corners: [[0.0, 0.0], [2.0, 0.0], [2.0, 2.0], [0.0, 2.0]])
    #   Lantern::Draw::Rows.of_patches([square], 0.5).area   # => 4.0
    class Rows
      # @return [Hash{Integer=>Array<Float>}] every line that has any: from, to, from, to and so on, from left to right,
      #   no stretch touching the next
      attr_reader :lines
      # @return [Float] from one line to the next, inches
      attr_reader :step

      class << self
        # What strips, coils and panels lie over.
        # @param patches [Array<Place::Stroke, Place::Polygon>]
        # @param step [Float] inches
        def of_patches(patches, step)
          begun, ended = {}, {}
          patches.each do |patch|
            patch.rows(step) do |row, from, to|
              if (starts = begun[row])
                starts << from
                ended[row] << to
              else
                begun[row], ended[row] = [from], [to]
              end
            end
          end
          new(begun.to_h { |row, starts| [row, joined(starts, ended[row])] }, step)
        end

        # What lies within outlines.
        # @param outlines [Array<Array<(Float, Float)>>]
        # @param step [Float] inches
        def of_outlines(outlines, step) = of_patches(outlines.map { Place::Polygon.new(corners: _1) }, step)

        # Stretches of one line in any order, as those that none touches. Where as many have ended as have begun there
        # is a gap, whichever they were, so that beginnings and ends are sorted apart.
        # @param starts [Array<Float>]
        # @param ends [Array<Float>]
        # @return [Array<Float>] from, to, from, to and so on
        def joined(starts, ends)
          return [starts[0], ends[0]] if starts.size == 1
          starts.sort!
          ends.sort!
          found = [starts[0]]
          i, last = 0, starts.size - 1
          while i < last
            found << ends[i] << starts[i + 1] if starts[i + 1] > ends[i]
            i += 1
          end
          found << ends[last]
        end
      end

      def initialize(lines, step)
        @lines, @step = lines, step
      end

      # How many bytes it takes, about (from memory).
      def bytes = 1_000 + lines.sum { |_, line| 80 + 8 * line.size }

      # @return [Float] square inches
      def area
        lines.each_value.sum { |line|
          wide, i = 0.0, 0
          while i < line.size
            wide += line[i + 1] - line[i]
            i += 2
          end
          wide
        } * step
      end

      # Every so-manieth of its lines.
      # @param number [Integer]
      # @return [Rows]
      def every(number) = Rows.new(
        lines.filter_map { |row, line| [row / number, line] if (row % number).zero? }.to_h, step * number
      )

      # Both together.
      # @param other [Rows] on the same lines
      # @return [Rows]
      def and(other)
        Rows.new(lines.merge(other.lines) { |_, *both|
          Rows.joined(*both.flat_map { _1.each_slice(2).to_a }.transpose)
        }, step)
      end

      # What of it another leaves bare.
      # @param other [Rows] on the same lines
      # @return [Rows]
      def less(other)
        Rows.new(lines.to_h { |row, own|
          others = other.lines[row]
          [row, others ? uncovered(own, others) : own]
        }, step)
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

      # @return [Array<Float>] what is left of the stretches of a line
      def uncovered(own, others)
        found, first, i, count = [], 0, 0, others.size
        while i < own.size
          from, to = own[i], own[i + 1]
          first += 2 while first < count && others[first + 1] <= from
          j = first
          while j < count && others[j] < to
            found << from << others[j] if others[j] > from
            from = others[j + 1]
            j += 2
          end
          found << from << to if from < to
          i += 2
        end
        found
      end

      # Line by line, from left to right.
      # @return [Array<(Integer, Float, Float)>] a line's number, from and to
      def longer(least)
        lines.keys.sort.each_with_object([]) do |row, found|
          line, i = lines[row], 0
          while i < line.size
            found << [row, line[i], line[i + 1]] if line[i + 1] - line[i] >= least
            i += 2
          end
        end
      end
    end
  end
end
