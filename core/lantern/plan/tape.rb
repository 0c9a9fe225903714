# frozen_string_literal: true

module Lantern
  module Plan
    # The answers across the foot of a wreath: counts, lengths, packages, money, time, sureness.
    # Each says which working opens when it is asked.
    class Tape
      def initialize(plan:, layers:, bill:, bench:)
        @plan, @layers, @bill, @bench = plan, layers, bill, bench
      end

      # @return [Array<Hash>] `id`, `figure`, `says`, and `working`: the place of the sum in the worked plan
      def figures
        used = @bill.entries.reject { _1.cutting.demand.none? }
        return [] if used.empty?
        [*@layers.reject { _1.class.stage == :hang }.first(2).map { counts(_1) }, *lengths(used), packages(used), money, time, *sure(used)]
      end

      private

      def counts(layer)
        name, says = layer.class.counts
        figure = layer.figures[name]
        says = says.delete_suffix("s") if figure == 1
        pieces = layer.required.reject { _1.run? || _1.shape == :items }
        entry("count.#{layer.id}", figure.to_s, [says, *cuts(pieces, beside: name != :pieces)].join(", "), "layers.#{layer.id}")
      end

      # The pieces that are cut, as long as they all are, or the longest of them.
      def cuts(pieces, beside:)
        return [] if pieces.empty?
        size = text(pieces.map(&:length).max)
        size = "longest #{size}" if pieces.map(&:length).uniq.size > 1
        return ["#{size} each"] unless beside
        [(pieces.map(&:what).uniq.size > 1) ? "#{pieces.sum(&:count)} cuts, #{size}" : "#{pieces.sum(&:count)} #{pieces.first.what} of #{size} each"]
      end

      # One figure for each of two materials; more than two are added up.
      def lengths(used)
        return used.map { needed(_1) } if used.size < 3
        used = used.reject { _1.material.counted? }
        total = used.sum { _1.cutting.demand.total + _1.cutting.joins * _1.cutting.demand.join }
        [entry("needed", Measure::Length.long_text(total, units: @plan.units), "of #{used.size} materials in all", "materials")]
      end

      def needed(stock)
        demand = stock.cutting.demand
        return entry("needed.#{stock.material.id}", demand.total.to_i.to_s, "#{stock.material.name} in all", "materials.#{stock.material.id}") if stock.material.counted?
        length = demand.total + stock.cutting.joins * demand.join
        entry("needed.#{stock.material.id}", Measure::Length.long_text(length, units: @plan.units), "#{stock.material.name} in all", "materials.#{stock.material.id}")
      end

      def packages(used)
        count = used.sum { _1.cutting.bought.values.sum }
        opened = used.sum { |each| each.cutting.bars.count { _1.source == :on_hand } }
        buying = {0 => "nothing to buy", 1 => "package to buy"}.fetch(count, "packages to buy")
        says = opened.zero? ? buying : "#{buying}, #{opened} from the stash"
        entry("packages", count.to_s, says, "materials")
      end

      def money
        bill = @bill.to_h
        entry("money", bill["to_buy"], "to pay, #{bill["used"]} of material used", "cost")
      end

      def time
        hours, minutes = @bench.minutes.round.divmod(60)
        entry("time", hours.zero? ? "#{minutes} min" : "#{hours} h #{minutes} min", "at the bench", "steps")
      end

      def sure(used)
        uncertain = used.select { _1.cutting.demand.spread.positive? || _1.cutting.short.positive? }
        return [] if uncertain.empty?
        chance = uncertain.map(&:chance_enough).reduce(:*)
        [entry("sure", "#{(chance * 100).floor.clamp(0, 99)} in 100", (chance >= 0.995) ? "or better that this is enough" : "that this is enough", "materials")]
      end

      def entry(id, figure, says, working) = {"id" => id, "figure" => figure, "says" => says, "working" => working}

      def text(inches) = Measure::Length.text(inches, units: @plan.units)
    end
  end
end
