# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # For every material that is bought: the smallest change on the scales that its layers declare with which one
      # package less is enough, at the same sureness. Where none does, that is said too. Of what is taken from the stash
      # alone, the change with which one length or sheet less is cut into.
      class OneFewer
        # A change that does: of which layer of which wreath, to what; how far along its scale, and what is left to buy.
        Found = Value.define(:number, :index, :give, :value, :share, :cutting, :work)

        def initialize(table, **)
          @table = table
        end

        # @return [Array<Piece>]
        def to_a
          @table.bought.filter_map { |material|
            found = smallest(material) { |cutting| fewer?(cutting, material) }
            found ? piece(material, found) : needed(material)
          } + from_stash
        end

        private

        # The least of every scale, and of those the least of its scale; where two are alike, what is declared first.
        def smallest(material, &)
          least = nil
          @table.each_layer do |number, index, layer|
            next unless layer.required.any? { _1.material == material.id }
            layer.class.gives.each { |give| least = first(material, number, index, layer, give, least, &) || least }
          end
          least
        end

        # The first step of a scale that does, if it is less than the least of those before.
        def first(material, number, index, layer, give, least)
          steps = give.steps(layer, @table.units)
          steps.each.with_index(1) do |value, step|
            break if least && step.fdiv(steps.size) >= least.share
            work = @table.works[number].with_options(index, give.option => value)
            cutting = @table.neighbour(material, number, work)
            next unless yield(cutting) && !worse?(work.layers[index], layer)
            return Found.new(number:, index:, give:, value:, share: step.fdiv(steps.size), cutting:, work:)
          rescue Plan::Refused
            next
          end
          nil
        end

        def fewer?(cutting, material)
          now = @table.cutting(material)
          cutting.short.zero? && cutting.packages < now.packages && Table.price(cutting) < Table.price(now)
        end

        # What nothing is bought of, and more than one of what is on hand cut into.
        def from_stash
          (@table.materials - @table.bought).filter_map do |material|
            now = @table.cutting(material)
            next if material.counted? || now.short.positive? || opened(now) < 2
            found = smallest(material) { |other|
              other.short.zero? && other.bought.empty? && opened(other) < opened(now)
            }
            whole(material, found, opened(now)) if found
          end
        end

        # How many of what is on hand are cut into.
        def opened(cutting) = cutting.bars.select { _1.source == :on_hand }.map(&:index).uniq.size

        def whole(material, found, before)
          left = opened(found.cutting)
          word = material.sheets? ? "piece" : "length"
          with = "#{found.give.said(found.value, @table.units)}#{of(found.number)}"
          Piece.new(code: "one_fewer", material: material.id, wreath: found.number + 1, look: look(found),
            try: try(found), says: "#{material.name}: #{Measure::Words.count(left, word)} from the stash instead of " \
              "#{before} would do with #{with}; the rest stays whole.")
        end

        # What gives must not bring a new fault.
        def worse?(layer, before) = (layer.faults - before.faults).any?

        def piece(material, found)
          now = @table.cutting(material)
          saves = Table.price(now) - Table.price(found.cutting)
          change = found.give.said(found.value, @table.units)
          Piece.new(code: "one_fewer", material: material.id, saves:, wreath: found.number + 1, look: look(found),
            says: "#{material.name}: #{packages(found.cutting)} instead of #{now.packages} would do with #{change}" \
              "#{of(found.number)}. That saves #{@table.money(saves)}.",
            try: try(found))
        end

        def try(found)
          layer = @table.works[found.number].layers[found.index]
          {layer.id => {found.give.option.to_s => found.give.written(found.value, @table.units)}}
        end

        def packages(cutting) = Measure::Words.count(cutting.packages, "package")

        def of(number) = @table.several? ? " on #{@table.works[number].plan.name}" : ""

        # That a package is needed where there is nothing else goes without saying, and of what is counted anyway.
        def needed(material)
          return if material.counted?
          cutting = @table.cutting(material)
          count = cutting.packages
          return if count == 1 && !nearly_there?(material, cutting)
          says = case count
          when 1 then "You need the package of #{material.name}: no small change makes what is on hand enough."
          when 2 then "Both packages of #{material.name} are needed: no small change does with one."
          else "All #{count} packages of #{material.name} are needed: no small change does with fewer."
          end
          Piece.new(code: "one_fewer", material: material.id, says:)
        end

        # Whether what is on hand is the greater part of it.
        def nearly_there?(material, cutting)
          return false if material.sheets?
          material.on_hand.sum > (material.counted? ? cutting.demand.number : cutting.demand.total) / 2
        end

        # What shows, before and after: laps and gaps, and how much of it is covered.
        def look(found)
          before, after = [@table.works[found.number], found.work].map { [_1, _1.layers[found.index]] }
          rows = before.last.class.figures.select { SEEN.include?(_1.key) }.filter_map do |figure|
            was, is = [before, after].map { |_, layer| layer.figures[figure.key] }
            {"says" => figure.label, "before" => text(was), "after" => text(is)} if was && is && text(was) != text(is)
          end
          rows + covered(before, after)
        end

        # Figures that say how it looks.
        SEEN = %i[lap_wide gap_wide gap_left fillers].freeze
        private_constant :SEEN

        def covered(before, after)
          shares = [before, after].map { |work, layer| work.covered(layer).share }
          return [] if shares.any?(&:nil?) || shares.map { percent(_1) }.uniq.one?
          [{"says" => "Covered", "before" => percent(shares[0]), "after" => percent(shares[1])}]
        end

        def percent(share) = Measure::Words.percent(share)

        def text(value) = value.is_a?(Integer) ? value.to_s : Measure::Length.text(value, units: @table.units)
      end
    end
  end
end
