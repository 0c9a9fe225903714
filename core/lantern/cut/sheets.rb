# frozen_string_literal: true

module Lantern
  module Cut
    # Strips from sheets of cloth, cut along the longer side or across it, one width to a row, so
    # that every cut goes straight through.
    module Sheets
      module_function

      # @return [Cutting]
      def cut(material, demand, _plan)
        sheets = stock(material)
        return Cutting.new(material:, demand:, bars: [], bought: {}, optimal: true, bound: 0, short: 0, untouched: []) if demand.none?
        bars, short = lay(demand.pieces.map { [_1, _1.count] }, sheets)
        bought = bars.select { _1.source == :offer }.map(&:index).tally
        price = bought.sum { |offer, count| (material.offers[offer][:price] * 10_000).to_i * count }
        bound = least_money(demand, sheets)
        Cutting.new(material:, demand:, bars:, bought:, optimal: short.zero? && price <= bound, bound:, short:, untouched: [])
      end

      # A sheet as it can be opened.
      Sheet = Value.define(:source, :index, :width, :length, :price) do
        # How many strips come out, and which way they run: `[count, along]`.
        def most(piece) = [[fits(width, length, piece), true], [fits(length, width, piece), false]].max_by(&:first)

        def fits(across, along, piece) = (across / piece.width).floor * (along / piece.length).floor

        def area = width * length
      end
      private_constant :Sheet

      def stock(material)
        material.on_hand.each_with_index.map { |sheet, i| Sheet.new(source: :on_hand, index: i, price: 0, **sheet.slice(:width, :length)) } +
          material.offers.each_with_index.map { |sheet, i| Sheet.new(source: :offer, index: i, price: (sheet[:price] * 10_000).to_i, **sheet.slice(:width, :length)) }
      end

      # Sheets on hand, largest first, then whichever offer is cheapest for a strip.
      def lay(wanted, sheets)
        hand, offers = sheets.partition { _1.source == :on_hand }
        hand = hand.sort_by { [-_1.area, _1.index] }
        bars = []
        until wanted.all? { |_, count| count.zero? }
          piece, _ = wanted.find { |_, count| count.positive? }
          sheet = hand.shift || offers.select { _1.most(piece).first.positive? }.min_by { [Rational(_1.price, _1.most(piece).first), _1.index] }
          break unless sheet
          cuts, used = fill(sheet, wanted)
          bars << Bar.new(source: sheet.source, index: sheet.index, length: sheet.length, cuts:, left: Rational(sheet.area - used, sheet.width)) if cuts.any?
        end
        [bars, wanted.sum { |piece, count| piece.length * count }]
      end

      # Row after row across the sheet; each row one width of strip.
      def fill(sheet, wanted)
        piece = wanted.find { |_, count| count.positive? }.first
        along = sheet.most(piece).last
        room, reach = along ? [sheet.width, sheet.length] : [sheet.length, sheet.width]
        cuts, used = [], 0
        wanted.each do |entry|
          strip, count = entry
          per_row = (reach / strip.length).floor
          rows = per_row.zero? ? 0 : [(room / strip.width).floor, (count.to_r / per_row).ceil].min
          taken = [rows * per_row, count].min
          next if taken.zero?
          room -= rows * strip.width
          entry[1] -= taken
          used += taken * strip.width * strip.length
          cuts << Bar::Cut.new(what: strip.what, length: strip.length, count: taken, shape: :pieces)
        end
        [cuts, used]
      end

      # No sheet yields more strips than its area holds, nor more than its best layout of one kind.
      def least_money(demand, sheets)
        hand, offers = sheets.partition { _1.source == :on_hand }
        demand.pieces.map { |piece|
          missing = piece.count - hand.sum { _1.most(piece).first }
          best = offers.select { _1.most(piece).first.positive? }.map { Rational(_1.price, _1.most(piece).first) }.min
          next 0 if missing <= 0 || best.nil?
          step = offers.map(&:price).reduce { |a, b| a.gcd(b) }
          step.zero? ? 0 : (missing * best / step).ceil * step
        }.max || 0
      end

      private_class_method :stock, :lay, :fill, :least_money
    end
  end
end
