# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # Which package goes to which wreath: what is handed out, wreath by wreath, bundled and labelled.
      class HandOut
        # @param occasion [Document]
        # @param stock [Array<Cut::Cutting>]
        def initialize(occasion, stock)
          @occasion = occasion
          @parts = stock.flat_map { parts(_1) }.group_by(&:first).transform_values { |all| together(all.map(&:last)) }
        end

        # @return [Array<Hash>] one a wreath, ready for JSON
        def to_a
          @occasion.works.map.with_index(1) do |work, number|
            {"key" => number.to_s, "wreath" => work.plan.name, "quantity" => work.plan.quantity,
             "parts" => @parts.fetch(number, []) + counted(work)}
          end
        end

        # What is tied together under one label: of one wreath, all pieces alike, and all lengths for one thing.
        # @return [Array<Hash>]
        def bundles
          to_a.flat_map do |each|
            cut = each["parts"].select { _1["from"] }
            cut.group_by { _1.values_at("material", "one", "run") + (_1["run"] ? [] : [_1["says"]]) }
              .map { |_, alike| bundle(each["wreath"], alike) }
          end
        end

        private

        def parts(cutting)
          names = Answer::BarName.new(cutting, @occasion.units)
          cutting.bars.each_with_index.flat_map do |bar, i|
            bar.cuts.select(&:asker).map { |cut| [cut.asker, part(cutting.material, from(bar, i, names), cut)] }
          end
        end

        def from(bar, index, names)
          return names.of(bar, index) unless bar.source == :on_hand && names.lengthwise?
          "the #{Measure::Length.text(bar.length, units: @occasion.units)} remnant"
        end

        # Neither the wreath nor the material is said again.
        def part(material, from, cut)
          own = [" (#{@occasion.works[cut.asker - 1].plan.name})", ", #{material.name}"]
          many, one = [cut.what, cut.one || cut.what].map { |word| own.reduce(word) { _1.delete_suffix(_2) } }
          {"material" => material.id, "name" => material.name, "from" => from, "count" => cut.count, "run" => cut.run?,
           "one" => one, "many" => many, "length" => cut.length, "says" => size(cut)}
        end

        # What is alike from one length; and whole packages one after another for one thing.
        def together(parts)
          parts.chunk_while { |a, b| alike?(a, b) }.map do |alike|
            first, last = alike.values_at(0, -1)
            count = alike.sum { _1["count"] }
            from = [first, last].map { _1["from"] }.uniq.join(" to ")
            first.merge("count" => count, "from" => from, "what" => what(first, count),
              "length" => alike.sum { _1["length"] })
          end
        end

        def alike?(part, other)
          part.values_at("material", "one", "says", "run") == other.values_at("material", "one", "says", "run") &&
            (part["run"] || part["from"] == other["from"])
        end

        def what(part, count)
          return (count == 1) ? part["one"] : part["many"] unless part["run"]
          "#{(count == 1) ? "length" : "lengths"} for the #{part["one"]}"
        end

        def size(cut)
          return Measure::Length.long_text(cut.length, units: @occasion.units) if cut.run?
          [cut.width, cut.length].compact.map { Measure::Length.text(_1, units: @occasion.units) }.join(" by ")
        end

        def counted(work)
          work.asked.map(&:need).select(&:items?).map do |need|
            taken = Bench::Taken.of(need, work.plan, times: work.plan.quantity)
            {"material" => taken.material, "name" => taken.name, "says" => taken.says, "run" => false}
          end
        end

        def bundle(wreath, alike)
          first = alike.first
          count = alike.sum { _1["count"] }
          all = Measure::Length.long_text(alike.sum { _1["length"] }, units: @occasion.units)
          {"wreath" => wreath, "material" => first["name"], "count" => count, "what" => what(first, count),
           "says" => first["run"] ? all : first["says"]}
        end
      end
    end
  end
end
