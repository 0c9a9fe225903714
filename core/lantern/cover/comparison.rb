# frozen_string_literal: true

module Lantern
  module Cover
    # Every covering on one form: what it would take, what it would cost, and how it would look; and of
    # those that do not suit, why. Each is worked with its own defaults, of the material that is at hand.
    class Comparison
      # @param document [Hash] a plan; its materials are all that could be used, its layers do not count
      # @raise [Plan::Refused] when there is no such form
      def initialize(document)
        @plan = Plan::Document.read(document.merge("layers" => []))
        @liked = Array(document["layers"]).filter_map { _1["material"] if _1.is_a?(Hash) }
      end

      # @return [Array<Hash>] ready for JSON, in the order of their titles
      def to_a = Cover.coverings.sort_by(&:title).map { entry(_1) }

      private

      def entry(covering)
        about = {"method" => covering.method_name.to_s, "title" => covering.title, "summary" => covering.summary}
        layer = layer_of(covering)
        return about.merge("suits" => false, "why" => ["Nothing in the stash is #{covering.takes.join(" or ")}."]) unless layer.material
        about.merge("suits" => true, "layer" => said(layer), **worked(layer))
      rescue Plan::Refused => refused
        about.merge("suits" => false, "why" => refused.problems.map(&:says))
      end

      def layer_of(covering)
        main = choose(covering.takes)
        options = covering.options.to_h do |option|
          [option.name, option.is_a?(Plan::Field::Reference) ? choose(option.kinds, but: main)&.id : option.default]
        end
        Plan::Layer.new(id: "base", covering:, at: "layers.0", material: main&.id, materials: [], options:)
      end

      # Of the first kind that there is any of: what the plan uses already, else what there is most of,
      # else what is first on offer.
      def choose(kinds, but: nil)
        fits = @plan.materials.select { _1 != but && (_1.on_hand.any? || _1.offers.any?) }.group_by(&:kind).values_at(*kinds).compact.first || []
        fits.find { @liked.include?(_1.id) } || fits.max_by { |each| [on_hand(each), each.offers.any? ? 1 : 0] }
      end

      def on_hand(material) = material.sheets? ? material.on_hand.sum { _1[:width] * _1[:length] } : material.on_hand.sum

      # The layer as a plan document holds it.
      def said(layer)
        chosen = layer.options.select { |name, value| value && layer.covering.options.find { _1.name == name }.is_a?(Plan::Field::Reference) }
        {"id" => layer.id, "method" => layer.covering.method_name.to_s, "material" => layer.material, **chosen.transform_keys(&:to_s)}
      end

      def worked(layer)
        named = [layer.material, *said(layer).values]
        plan = @plan.with(layers: [layer], materials: @plan.materials.select { named.include?(_1.id) })
        layers = Cover.work(plan, plan.band)
        stock = Cut.work(plan, layers)
        bill = Cost.work(plan, stock)
        bench = Bench.work(plan, plan.band, layers, stock)
        answers(plan, layers.first, bill, bench).merge("drawing" => drawing(plan, layers))
      end

      def answers(plan, covering, bill, bench)
        used = bill.entries.reject { _1.cutting.demand.none? }
        lengths = used.reject { _1.material.counted? }.sum { _1.cutting.demand.total + _1.cutting.joins * _1.cutting.demand.join }
        {
          "materials" => used.map { _1.material.name },
          "figures" => Plan::Tape.new(plan:, layers: [covering], bill:, bench:).figures,
          "length" => Measure::Length.in_units(lengths, plan.units), "length_says" => lengths.zero? ? "" : Measure::Length.long_text(lengths, units: plan.units),
          "packages" => used.sum { _1.cutting.bought.values.sum }, "to_buy" => bill.to_h["to_buy"],
          "minutes" => bench.minutes.round, "chance_enough" => used.map(&:chance_enough).reduce(1.0, :*).round(3),
          "enough_on_hand" => used.all? { _1.cutting.bought.empty? && _1.cutting.short.zero? },
          "short" => used.any? { _1.cutting.short.positive? },
          "warnings" => covering.findings.reject { _1.level == :note }.map(&:says)
        }
      end

      # The front alone: it is drawn small.
      def drawing(plan, layers)
        drawing = Draw.work(plan, plan.band, layers)
        drawing.merge("layers" => drawing["layers"].map { _1.merge("back" => []) }, "gaps" => [], "dimensions" => [])
      end
    end
  end
end
