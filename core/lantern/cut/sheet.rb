# frozen_string_literal: true

module Lantern
  module Cut
    # A sheet of cloth as it can be opened. `lost` is what selvage or hem takes at every edge;
    # `end_width` how wide its far end is, where it tapers: a sleeve, a trouser leg. Inches, and the
    # price as {Measure::Price} has it.
    Sheet = Value.define(:source, :index, :width, :length, :end_width, :lost, :price) do
      # @return [Array<Sheet>] the pieces on hand, then the offers
      def self.of(material)
        lost = material.lost_edge || 0
        {on_hand: material.on_hand, offer: material.offers}.flat_map do |source, sizes|
          sizes.each_with_index.map do |size, index|
            new(source:, index:, lost:, width: size[:width], length: size[:length],
              end_width: size[:end_width] || size[:width], price: Measure::Price.exact(size[:price]))
          end
        end
      end

      def tapers? = end_width != width

      # What can be cut from, the edges off.
      def area = [(width + end_width) / 2 - 2 * lost, 0].max * [length - 2 * lost, 0].max

      # The rectangles that strips of this kind can be cut from: the whole of it, or where it tapers
      # one band for every row of strips, as wide as its narrower side.
      # @param layout [Layout]
      # @return [Array<Layout::Room>]
      def rooms(layout)
        whole = Layout::Room.new(x: lost, y: lost, width: width - 2 * lost, length: length - 2 * lost)
        return [whole].select(&:any?) unless tapers?
        bands = layout.kind.cells.map { |_, deep| bands(deep) }
        bands.max_by { |rooms| rooms.sum { layout.most(_1) } }
      end

      private

      def bands(deep)
        (0...((length - 2 * lost) / deep).floor).map { |row|
          from = lost + row * deep
          wide = [width_at(from), width_at(from + deep)].min - 2 * lost
          Layout::Room.new(x: ([width, end_width].max - wide) / 2, y: from, width: wide, length: deep)
        }.select(&:any?)
      end

      def width_at(along) = width + (end_width - width) * along / length
    end
  end
end
