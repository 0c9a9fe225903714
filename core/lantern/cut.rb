# frozen_string_literal: true

module Lantern
  # From what the layers need to what is cut from what.
  module Cut
    class << self
      # @param layers [Array<Cover::Covering>]
      # @return [Array<Cutting>] one for each material of the plan, in its order
      def work(plan, layers)
        needs = layers.flat_map { |layer| layer.required.map { Demand::Asked.new(layer: layer.id, need: _1, times: plan.quantity) } }.concat(Bench::Supplies.new(plan, layers).asked).group_by { _1.need.material }
        plan.materials.map do |material|
          demand = Demand.gather(needs.fetch(material.id, []), sureness: plan.sureness)
          cutter(material).cut(material, demand, plan)
        end
      end

      # @return [#cut] what cuts a material of this kind
      def cutter(material)
        return Counts if material.counted?
        material.sheets? ? Sheets : Rolls
      end
    end
  end
end
