# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # What is on hand besides a plan's own materials, and the plan with something of it in another's place.
      class Stash
        # @param document [Hash] a plan
        # @param others [Array<Hash>] materials, as documents
        def initialize(document, others)
          @document = document
          own = Array(document["materials"]).map { _1["id"] }
          @others = others.reject { own.include?(_1["id"]) }
        end

        # @return [Array<Plan::Material>] of some kinds, with something on hand; of the plan and besides
        def on_hand(kinds, plan)
          besides = @others.select { kinds.include?(_1["kind"].to_s.to_sym) && Array(_1["on_hand"]).any? }
            .filter_map { read(_1) }
          (plan.materials + besides).select { kinds.include?(_1.kind) && _1.on_hand.any? }
        end

        # @param layer [Integer] which layer is made of something else
        # @return [Work]
        # @raise [Plan::Refused]
        def work_with(layer, id)
          layers = @document["layers"].dup
          layers[layer] = layers[layer].merge("material" => id)
          added = @others.select { _1["id"] == id }
          Work.read(@document.merge("layers" => layers, "materials" => @document["materials"] + added))
        end

        private

        def read(document)
          Plan::Material.check(document, units: @document["units"])
        rescue Plan::Refused
          nil
        end
      end
    end
  end
end
