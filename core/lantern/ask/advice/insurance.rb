# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # When the last package is bought only to be sure, that is said, with what it costs.
      class Insurance
        def initialize(table, **)
          @table = table
        end

        # @return [Array<Piece>]
        def to_a = @table.bought.filter_map { piece(_1, @table.cutting(_1)) }

        private

        def piece(material, cutting)
          return if !cutting.demand.insured? || cutting.short.positive?
          less = Cut.cut(material, cutting.demand.uninsured)
          more = cutting.packages - less.packages
          return unless more.positive?
          costs = Table.price(cutting) - Table.price(less)
          Piece.new(code: "insurance", material: material.id, says: "#{material.name}: #{without(less.packages)} " \
            "#{enough(Cost::Entry.new(less, @table).chance_enough)}; #{last(more, cutting.packages)} insurance, " \
            "#{@table.money(costs)}.")
        end

        def without(count)
          return "what you have is" if count.zero?
          "#{Measure::Words.count(count, "package")} #{(count == 1) ? "is" : "are"}"
        end

        def enough(chance) = "enough #{Measure::Words.chance(chance)} of the time"

        def last(more, all)
          return (all == 1) ? "the package is" : "the #{Measure::Words.ordinal(all)} is" if more == 1
          "the last #{more} are"
        end
      end
    end
  end
end
