# frozen_string_literal: true

module Lantern
  module Plan
    # What of a plan a layer is worked from, and no more: what else is changed leaves the layer as it is. A layer sees
    # its own materials, and the layers below it; one whose kind {Layer::Declaring#sees_everything sees everything}
    # sees all of both.
    Seen = Value.define(:units, :smallest_mark, :learned, :paces, :materials, :layers) do
      # @return [Material, nil]
      def material(id) = materials.find { _1.id == id }
    end

    class Seen
      class << self
        # @param plan [Document]
        # @param said [LayerSaid]
        # @return [Seen]
        def of(plan, said)
          all = said.kind.sees_everything?
          below = plan.layers.take_while { !_1.equal?(said) }
          new(units: plan.units, smallest_mark: plan.smallest_mark, learned: plan.learned, paces: plan.paces,
            materials: all ? plan.materials : named(plan, said),
            layers: all ? plan.layers : [*below.first(1), said])
        end

        private

        def named(plan, said)
          names = texts([said.material, said.materials, said.options])
          named = plan.materials.select { names.include?(_1.id) }
          plan.materials.select { |each| named.include?(each) || named.any? { _1.put_on_with == each.id } }
        end

        # All that may be an id, in the recipes that options hold too.
        def texts(value)
          case value
          when String then [value]
          when Array then value.flat_map { texts(_1) }
          when Hash then texts(value.values)
          else []
          end
        end
      end
    end
  end
end
