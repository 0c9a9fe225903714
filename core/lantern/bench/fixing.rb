# frozen_string_literal: true

module Lantern
  module Bench
    # What the steps of a layer hold things with: a sort of tie or wire, how many, and for what. `material` is the one
    # of the plan that it is taken from, when there is one; `layer` is whose steps they are, nobody's where parts are
    # joined.
    Fixing = Value.define(:sort, :count, :use, :material, :layer) do
      def initialize(layer: nil, **given) = super
    end

    class Fixing
      # The sorts that are counted: what one is called, and what of the plan's materials it is.
      Sort = Value.define(:unit, :suits)
      SORTS = {
        chenille: Sort.new(unit: :stems, suits: ->(each) { each.kind == :tie && each.sort == :chenille }),
        cable: Sort.new(unit: :ties, suits: ->(each) { each.kind == :tie && each.sort == :cable }),
        wire: Sort.new(unit: :wires, suits: ->(each) { each.kind == :wire })
      }.freeze
      # A wire to bind with (from memory).
      WIRE = 12r
      # Where two parts of a form are tied (common practice: two joined canes take six).
      TIES_TO_JOIN = 3

      class << self
        # Everything that one wreath is fixed with.
        # @param plan [Plan::Document]
        # @param form [Form::Band]
        # @param layers [Array<Layer>]
        # @return [Array<Fixing>]
        def all(plan, form, layers)
          joints = form.joints * TIES_TO_JOIN
          joined = joints.positive? ? [of(plan, :cable, joints, "joining the parts")] : []
          joined + layers.flat_map { |layer|
            SORTS.keys.filter_map { |sort|
              count = layer.fixings.fetch(sort, 0)
              use = layer.class.called(layer.said.options)
              of((plan if layer.fixings_charged?), sort, count, use, layer.id) if count.positive?
            }
          }
        end

        private

        # @param plan [Plan::Document, nil] nil where it is charged to nothing
        def of(plan, sort, count, use, layer = nil)
          new(sort:, count:, use:, material: plan&.materials&.find(&SORTS.fetch(sort).suits), layer:)
        end
      end

      def unit = Place::Unit.fetch(SORTS.fetch(sort).unit)

      # @return [Place::Need, nil] what it asks of the plan's own material
      def need
        return unless material
        asked = {material: material.id, what: unit.key, of: " for #{use}", count:}
        material.counted? ? Place::Need.items(**asked) : Place::Need.pieces(**asked, length: WIRE)
      end

      # @return [String] "2 ties", "1/2 chenille stem"
      def says
        unit.amount_says(count)
      end

      # @return [Hash] ready for JSON
      def to_h
        {"key" => "#{sort}.#{use}", "material" => material&.id, "what" => unit.word(count.ceil),
         "count" => (count == count.to_i) ? count.to_i : count, "says" => says, "for" => use}.compact
      end
    end
  end
end
