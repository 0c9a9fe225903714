# frozen_string_literal: true

module Lantern
  module Cut
    # Strips and panels from sheets of cloth, along it, across it or on the bias; the largest pieces
    # first, what is on hand before a new sheet.
    class Sheets
      # @return [Cutting]
      def self.cut(material, demand) = new(material, demand).cut

      def initialize(material, demand)
        @material, @demand = material, demand
        @kinds = demand.pieces.map { |piece|
          [piece,
            Layout.new(Layout::Kind.new(width: piece.width, length: piece.length, grain: piece.grain))]
        }
          .sort_by { |piece, layout| [-layout.kind.area, piece.layer, piece.what] }
        @hand, @offers = Sheet.of(material).partition { _1.source == :on_hand }
      end

      # The least money of these: every sheet of the one offer, of another, or whichever is cheapest for
      # the piece in turn.
      def cut
        return nothing if @demand.none?
        tried = [@offers, *(@offers.combination(1) if @offers.size > 1)].map { lay(_1) }
        bars, short, price = tried.min_by { |bars, short, price| [short, price, bars.size] }
        bought = bars.select { _1.source == :offer }.map(&:index).tally
        bound = least_money
        Cutting.new(material: @material, demand: @demand, bars:, bought:, optimal: short.zero? && price <= bound,
          bound:, short:, untouched: untouched(bars))
      end

      private

      def nothing = Cutting.new(material: @material, demand: @demand, bars: [], bought: {}, optimal: true, bound: 0,
        short: 0, untouched: untouched([]))

      # Sheets on hand that stay whole.
      def untouched(bars)
        opened = bars.select { _1.source == :on_hand }.map(&:index)
        @hand.reject { opened.include?(_1.index) }.map { [_1.width, _1.length] }
      end

      # Sheets on hand, smallest that is of use first, then new ones.
      # @return [(Array<Bar>, Rational, Integer)] the sheets opened, the length that was left over, the price
      def lay(offers)
        wanted = @kinds.map { |piece, layout| [piece, layout, piece.count] }
        hand = @hand.sort_by { [_1.area, _1.index] }
        bars, price = [], 0
        while (entry = wanted.find { _3.positive? })
          sheet = hand.find { fits?(_1, entry[1]) } || cheapest(offers, entry)
          # What fits no sheet is left out, so that the others still come.
          next wanted.delete(entry) unless sheet
          hand.delete(sheet)
          price += sheet.price
          bars << laid_out(sheet, wanted)
        end
        laid = bars.flat_map(&:cuts).group_by { |cut| [cut.what, cut.length, cut.width] }
          .transform_values { |cuts| cuts.sum(&:count) }
        short = @kinds.group_by { |piece, _| [piece.what, piece.length, piece.width] }
          .sum { |key, alike| key[1] * (alike.sum { |piece, _| piece.count } - laid.fetch(key, 0)) }
        [bars, short, price]
      end

      def fits?(sheet, layout) = most(sheet, layout).positive?

      def most(sheet, layout) = ((@most ||= {}.compare_by_identity)[sheet] ||= {}
        .compare_by_identity)[layout] ||= sheet.rooms(layout).sum { layout.most(_1) }

      # What no way of cutting a sheet can better.
      def ceiling(sheet, layout) = sheet.tapers? ? (sheet.area / layout.kind.area).floor : sheet.rooms(layout)
        .sum { layout.ceiling(_1) }

      def cheapest(offers, entry)
        piece, layout, count = entry
        offers.select { fits?(_1, layout) }.min_by { |sheet|
          [Rational(sheet.price * (count.to_r / most(sheet, layout))
          .ceil), sheet.price, sheet.index, piece.what]
        }
      end

      # One sheet, kind after kind as far as they go.
      def laid_out(sheet, wanted)
        rooms, cuts = nil, []
        wanted.each do |entry|
          piece, layout, = entry
          next unless entry[2].positive?
          rooms ||= sheet.rooms(layout)
          while entry[2].positive? &&
              (room = rooms.select { layout.most(_1).positive? }.min_by { [_1.area, _1.y, _1.x] })
            blocks, rests = (layout.most(room) <= entry[2]) ? layout.fill(room) : layout.part(room, entry[2])
            rooms = rooms - [room] + rests
            blocks.each { |block| cuts << cut_of(piece, block, entry) }
          end
        end
        cuts = cuts.select { _1.count.positive? }
        used = cuts.sum { _1.count * _1.length * _1.width }
        rest = Layout::Room.joined(rooms || []).sort_by { -_1.area }.map { [_1.width, _1.length] }
        Bar.new(source: sheet.source, index: sheet.index, length: sheet.length, cuts:,
          left: Rational(sheet.area - used, sheet.width), rest:)
      end

      def cut_of(piece, block, entry)
        count = [block.columns * block.rows, entry[2]].min
        entry[2] -= count
        Bar::Cut.new(what: piece.what, one: piece.one, length: piece.length, count:, shape: :pieces, width: piece.width,
          block:, asker: piece.asker)
      end

      # No sheet yields more strips of a kind than its best layout, and all of them no more than their
      # area.
      def least_money
        step = @offers.map(&:price).reduce { |a, b| a.gcd(b) }
        return 0 if step.nil? || step.zero?
        bounds = @kinds.map { |piece, layout|
          per(@offers,
            piece.count - @hand.sum { ceiling(_1, layout) }) { ceiling(_1, layout) }
        }
        bounds << per(@offers, @kinds.sum { |piece, layout| layout.kind.area * piece.count } - @hand.sum(&:area),
          &:area)
        (bounds.max / step).ceil * step
      end

      def per(offers, missing)
        best = offers.select { yield(_1).positive? }.map { Rational(_1.price) / yield(_1) }.min
        return 0 if missing <= 0 || best.nil?
        best * missing
      end
    end
  end
end
