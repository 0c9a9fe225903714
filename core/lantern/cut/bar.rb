# frozen_string_literal: true

module Lantern
  module Cut
    # One length or sheet opened: where it comes from (`:on_hand` or `:offer`, and which), how long it
    # is, its cuts in order, and what is left. Of a sheet, `left` is the area left over its width, and
    # `rest` the rectangles that remain, `[width, length]`, the largest first. Inches.
    Bar = Value.define(:source, :index, :length, :cuts, :left, :rest) do
      def initialize(rest: [], **given) = super
    end

    class Bar
      # A left-over of cloth is worth keeping when its longer side reaches the smallest remnant and its shorter
      # an inch: one more turn of a ribbon (common practice).
      NARROWEST = 1

      # So many cuts of one length, one after another; for a run, what this bar gives it; on a sheet,
      # the block they lie in and how wide each is. `one` is what one of them is called, `asker` the number of the
      # wreath that it is for, when there are several.
      Cut = Value.define(:what, :one, :length, :count, :shape, :width, :block, :asker) do
        def initialize(one: nil, width: nil, block: nil, asker: nil, **given) = super

        def run? = shape == :run
      end

      # The same, with so many of each of its cuts left uncut.
      # @param wide [Numeric] how wide a sheet is; 1 for a length
      # @yieldparam cut [Cut]
      # @yieldreturn [Integer]
      # @return [Bar]
      def giving_back(wide)
        given = cuts.map { |cut| [cut, yield(cut)] }
        back = given.select { |_, count| count.positive? }
        return self if back.empty?
        with(cuts: given.filter_map { |cut, count| cut.with(count: cut.count - count) if cut.count > count },
          left: left + back.sum { |cut, count| cut.length * count * (cut.width || 1) / wide },
          rest: rest + back.flat_map { |cut, count| cut.width ? [[cut.width, cut.length]] * count : [] })
      end

      # What of a sheet is left and worth keeping.
      # @return [Array<(Numeric, Numeric)>] width and length
      def kept(smallest) = rest.select { |sides| sides.max >= smallest && sides.min >= NARROWEST }
    end
  end
end
