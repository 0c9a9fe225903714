# frozen_string_literal: true

module Lantern
  module Answer
    # The answers across the foot of a wreath: counts, lengths, packages, money, time, sureness.
    # Each says which working opens when it is asked.
    class Tape
      # As many layers have a count of their own on it.
      COUNTED = 2

      # @param work [Work]
      def initialize(work)
        @work = work
        @units = work.plan.units
      end

      # @return [Array<Hash>] `id`, `key` (what it is about), `figure`, `says`, and `working`: the place of the sum
      #   in the worked plan
      def figures
        used = @work.bill.needed
        return [] if used.empty?
        layers = @work.layers.reject { _1.class.stage.key == :hang }.first(COUNTED)
        [*layers.map { counts(_1) }, *lengths(used), packages(used), money, time, *sure(used)]
      end

      private

      def counts(layer)
        name, unit = layer.class.counts
        figure = layer.figures[name]
        cuts = layer.required.select(&:cut?)
        says = [unit.word(figure), *cuts(cuts, alone: name == :pieces)]
        entry(:count, layer.id, figure.to_s, says.join(", "), "layers.#{layer.id}")
      end

      # The pieces that are cut, as large as they all are, or the longest of them; where the figure counts just
      # them, they are not counted again.
      def cuts(pieces, alone:)
        return [] if pieces.empty?
        alike = pieces.uniq(&:length).one?
        size = "#{"longest " unless alike}#{size(pieces.max_by(&:length), pieces.uniq(&:width).one?)}"
        count = pieces.sum(&:count)
        each = (count == 1 || !alike) ? "" : " each"
        return ["#{size}#{each}"] if alone
        return ["#{Measure::Words.count(count, "cut")}, #{size}#{each}"] if pieces.map(&:what).uniq.size > 1
        ["#{count} #{(count == 1) ? pieces.first.one : pieces.first.what} of #{size}#{each}"]
      end

      def size(piece, wide)
        return text(piece.length) unless wide && piece.width
        "#{Measure::Length.text(piece.width, units: @units, unit: false)} by #{text(piece.length)}"
      end

      # One figure for each of two materials; more than two are added up.
      def lengths(used)
        return used.map { needed(_1) } if used.size < 3
        used = used.reject { _1.material.counted? }
        total = used.sum { with_joins(_1.cutting) }
        [entry(:needed, nil, long_text(total), "of #{Measure::Words.count(used.size, "material")} in all", "materials")]
      end

      def needed(entry)
        material, cutting = entry.material, entry.cutting
        figure = material.counted? ? cutting.demand.number.to_s : long_text(with_joins(cutting))
        says = material.counted? ? material.name : "of #{material.name}"
        entry(:needed, material.id, figure, says, "materials.#{material.id}")
      end

      def with_joins(cutting) = cutting.demand.total + cutting.joins * cutting.demand.join

      def packages(used)
        count = used.sum { _1.cutting.packages }
        opened = used.sum { |each| each.cutting.bars.count { _1.source == :on_hand } }
        buying = {0 => "nothing to buy", 1 => "package to buy"}.fetch(count, "packages to buy")
        says = opened.zero? ? buying : "#{buying}, #{opened} from the stash"
        entry(:packages, nil, count.to_s, says, "materials")
      end

      def money
        money = @work.plan.method(:money_says)
        bill = @work.bill
        entry(:money, nil, money.call(bill.to_buy), "to pay, #{money.call(bill.used)} of material used", "cost")
      end

      def time
        hours, minutes = @work.course.minutes.round.divmod(60)
        entry(:time, nil, hours.zero? ? "#{minutes} min" : "#{hours} h #{minutes} min", "at the bench", "steps")
      end

      def sure(used)
        uncertain = used.select { _1.cutting.demand.uncertain? || _1.cutting.short.positive? }
        return [] if uncertain.empty?
        short = uncertain.select { _1.cutting.short.positive? }
        return [entry(:sure, nil, "Not enough", "see #{short.first.material.name}", "materials")] if short.any?
        chance = [uncertain.map(&:chance_enough).reduce(:*), 0.999].min
        [entry(:sure, nil, Measure::Words.chance(chance), "sure that this is enough", "materials")]
      end

      def entry(key, about, figure, says, working)
        {"id" => [key, about].compact.join("."), "key" => key.to_s, "figure" => figure, "says" => says,
         "working" => working}
      end

      def text(inches) = Measure::Length.text(inches, units: @units)

      def long_text(inches) = Measure::Length.long_text(inches, units: @units)
    end
  end
end
