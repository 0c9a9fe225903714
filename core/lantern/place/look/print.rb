# frozen_string_literal: true

module Lantern
  module Place
    class Look
      # The pieces of one lie, printed as few paths: all that have one mark and one paint, and lie on one level, are
      # one. The screens print by the same rules; both are held to one fixture.
      class Print
        # One path: the mark it is of, what it is painted with, and its path data.
        Made = Value.define(:mark, :paint, :path)

        # @param look [Look]
        # @param width [Numeric] of the strip, in the units of the points
        def initialize(look, width)
          @look = look
          @half = width / 2.0
        end

        # @param items [Array<Hash>] as a drawing has them
        # @param far [Boolean] whether they are seen from their far side
        # @yieldparam colour [Integer]
        # @yieldparam direction [Integer]
        # @yieldreturn [String] what a piece of that colour is painted with that runs in that direction
        # @return [Array<Made>] the undermost first
        def of(items, far: false, &paint)
          pieces = items.each_with_index.map { |item, i| [item["points"].each_slice(2).to_a, item["colour"], i] }
          marks = far ? @look.marks.select(&:far?) : @look.marks
          (far ? [pieces] : levels(pieces)).flat_map { |level| marks.flat_map { |mark| printed(mark, level, &paint) } }
        end

        private

        def printed(mark, level)
          level.each_with_object({}) { |(points, colour, number), paths|
            Frame.of(mark, points, @half, slender: @look.slender, turn: @look.turn * number).each do |frame|
              paint = (mark.paint == :material) ? yield(colour, frame.direction(mark)) : mark.paint.to_s
              (paths[paint] ||= +"") << frame.print(mark)
            end
          }.map { |paint, path| Made.new(mark:, paint:, path:) }
        end

        # Pieces that lie over one another are on levels of their own.
        def levels(pieces)
          return [pieces] if @look.order == :beside || pieces.size < 2
          there = []
          pieces.each do |piece|
            box = box(piece.first)
            over = ->(level) { level.any? { |_, other| meet?(box, other) } }
            at = (@look.order == :kept) ? (there.rindex(&over) || -1) + 1 : there.index { !over[_1] } || there.size
            (there[at] ||= []) << [piece, box]
          end
          there.map { |level| level.map(&:first) }
        end

        def box(points)
          room = @look.beyond * @half
          xs, ys = points.transpose
          [xs.min - room, ys.min - room, xs.max + room, ys.max + room]
        end

        def meet?(a, b) = a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3]
      end
    end
  end
end
