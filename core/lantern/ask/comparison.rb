# frozen_string_literal: true

module Lantern
  # Questions that work many plans.
  module Ask
    # Every covering on one form: what it would take, what it would cost, and how it would look; and of
    # those that do not suit, why. Each is worked with its own defaults, of the material that is at hand.
    class Comparison
      # @param plan [Hash] a plan document
      # @param stash [Array<Hash>] materials that are known besides the plan's own
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(plan, stash: [])
        own = Array(plan["materials"])
        ids = own.filter_map { _1["id"] if _1.is_a?(Hash) }
        known = own + stash.reject { ids.include?(_1["id"]) }
        {"coverings" => new(plan.merge("materials" => known), own: ids).to_a}
      end

      # @param document [Hash] a plan; its materials are all that could be used, its layers do not count
      # @raise [Plan::Refused] when there is no such form
      # @param own [Array<String>] ids of materials that are taken before any others while there is no layer
      def initialize(document, own: [])
        @work = Work.read(document.merge("layers" => []))
        @plan = @work.plan
        @liked = Array(document["layers"]).filter_map { _1["material"] if _1.is_a?(Hash) }
        @own = @liked.empty? ? own : []
      end

      # @return [Array<Hash>] ready for JSON, in the order of their titles
      def to_a = Plan::Methods.select { _1.stage.key == :cover }.sort_by(&:title).map { entry(_1) }

      private

      def entry(kind)
        about = {"method" => kind.method_name.to_s, "title" => kind.title, "summary" => kind.summary}
        said = said_by(kind)
        takes = Measure::Words.list(kind.takes, last: "or")
        return about.merge("suits" => false, "lacks" => true, "why" => ["Nothing in the stash is #{takes}."]) unless
          said.material
        about.merge("suits" => true, "layer" => document_of(said), **answers(worked(said)))
      rescue Plan::Refused => refused
        about.merge("suits" => false, "why" => refused.problems.map(&:says), **asking(said, refused.problems))
      end

      # What would do, were only something of it said that the form does not say: a stem where the form has none.
      def asking(said, problems)
        asked = problems.filter_map { |problem| said.kind.options.find { problem.at == "#{said.at}.#{_1.name}" } }
        (said.material && asked.size == problems.size) ? {"asks" => true, "layer" => document_of(said)} : {}
      end

      def said_by(kind)
        main = choose(kind.takes)
        options = kind.options.to_h do |option|
          named = choose(option.kinds, but: main)&.id if option.is_a?(Plan::Field::Reference)
          [option.name, named || option.default]
        end
        Plan::LayerSaid.new(id: "base", kind:, at: "layers.0", material: main&.id, materials: [], options:)
      end

      # Of the first kind that there is any of: what the plan uses already, else what there is most of,
      # else what is first on offer.
      def choose(kinds, but: nil)
        there = @plan.materials.select { _1 != but && (_1.on_hand.any? || _1.offers.any?) }
        mine = @own.filter_map { |id| there.find { _1.id == id && kinds.include?(_1.kind) } }
        return mine.first if mine.any?
        fits = there.group_by(&:kind).values_at(*kinds).compact.first || []
        fits.find { @liked.include?(_1.id) } || fits.max_by { |each| [on_hand(each), each.offers.any? ? 1 : 0] }
      end

      def on_hand(material)
        material.sheets? ? material.on_hand.sum { _1[:width] * _1[:length] } : material.on_hand.sum
      end

      def document_of(said)
        named = said.kind.options.grep(Plan::Field::Reference).to_h { [_1.name.to_s, said.options[_1.name]] }.compact
        {"id" => said.id, "method" => said.kind.method_name.to_s, "material" => said.material, **named}
      end

      def worked(said)
        named = document_of(said).values
        @work.with(layers: [said], materials: @plan.materials.select { named.include?(_1.id) })
      end

      def answers(work)
        used = work.bill.needed
        lengths = used.reject { _1.material.counted? }
          .sum { _1.cutting.demand.total + _1.cutting.joins * _1.cutting.demand.join }
        {
          "covers" => !work.layers.first.closes.nil?, "materials" => used.map { _1.material.name },
          "figures" => Answer::Tape.new(work).figures,
          "length" => Measure::Length.in_units(lengths, @plan.units),
          "length_says" => lengths.zero? ? "" : Measure::Length.long_text(lengths, units: @plan.units),
          "packages" => used.sum { _1.cutting.packages }, "to_buy" => work.bill.to_h["to_buy"],
          "minutes" => work.course.minutes.round,
          "chance_enough" => used.map(&:chance_enough).reduce(1.0, :*).round(3),
          "enough_on_hand" => work.enough? && used.all? { _1.cutting.bought.empty? }, "short" => !work.enough?,
          "warnings" => work.layers.first.found.reject { _1.level == :note }.map(&:says),
          "drawing" => small(work.drawing)
        }
      end

      # The front alone: it is drawn small.
      def small(drawing)
        front = drawing["layers"].map { _1.merge("back" => []) }
        drawing.merge("layers" => front, "gaps" => [], "dimensions" => [])
      end
    end
  end
end
