# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # What is on hand that would do instead of what is bought, and what would be different.
      class StashFirst
        # As many others are tried for a layer, those that there is most of.
        MOST_TRIED = 4

        def initialize(table, stash: nil, **)
          @table, @stash = table, stash
        end

        # @return [Array<Piece>]
        def to_a
          return [] unless @stash
          @work = @table.works.first
          found = @work.layers.each_with_index.filter_map { |layer, index| best(layer, index) }
          # Of what several layers are made of, the one where it saves most.
          found.sort_by.with_index { |each, i| [-each.saves, i] }.uniq(&:material)
        end

        private

        def best(layer, index)
          own = layer.material
          return if own.nil? || @table.cutting(own).bought.empty?
          others = @stash.on_hand(layer.class.takes, @work.plan).reject { layer.materials.map(&:id).include?(_1.id) }
          others.select { same_thing?(own, _1) }.max_by(MOST_TRIED) { |each| [amount(each), each.id] }
            .filter_map { |other| tried(layer, index, own, other) }.max_by(&:saves)
        end

        # How much wider or thicker, or less so, still does the same work (common practice).
        FIFTH = 0.2
        private_constant :FIFTH

        # What is counted is nothing but itself: blooms are no sign. Of what is cut the same kind and make, as wide or
        # as thick within a fifth.
        def same_thing?(own, other)
          return false if own.counted? || own.kind != other.kind
          makes = [own, other].map { |each| [each.wired || nil, each.sheer || nil, each.sort] }
          return false unless makes.uniq.one?
          was, is = [own, other].map { _1.width || _1.diameter }
          was.nil? || is.nil? || (is - was).abs <= FIFTH * was
        end

        def amount(material) =
          material.sheets? ? material.on_hand.sum { _1[:width] * _1[:length] } : material.on_hand.sum

        # Only what is there already, and does it as well.
        def tried(layer, index, own, other)
          work = @stash.work_with(index, other.id)
          cutting = work.stock.find { _1.material.id == other.id }
          return unless cutting.short.zero? && cutting.bought.empty?
          saves = @table.to_buy - work.to_buy
          return unless saves.positive? && (work.layers[index].faults - layer.faults).empty?
          Piece.new(code: "stash_first", material: own.id, saves:, try: {layer.id => {"material" => other.id}},
            says: "You have enough #{other.name}#{unlike(own, other)}. It would do instead of #{own.name}, and saves " \
              "#{@table.money(saves)}.")
        rescue Plan::Refused
          nil
        end

        def unlike(own, other)
          was, is = [own, other].map { _1.width || _1.diameter }
          return "" if was.nil? || is.nil? || was == is
          text = ->(inches) { Measure::Length.text(inches, units: @table.units) }
          ", #{text.call(is)} #{other.width ? "wide" : "thick"} instead of #{text.call(was)}"
        end
      end
    end
  end
end
