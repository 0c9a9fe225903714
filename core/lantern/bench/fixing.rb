# frozen_string_literal: true

module Lantern
  module Bench
    # What the steps of a layer hold things with: a sort of tie or wire, how many, and for what. `material` is the one
    # of the plan that it is taken from, when there is one; `layer` is whose steps they are, nobody's where parts are
    # joined.
    Fixing = Value.define(:sort, :count, :for, :material, :layer) do
      def initialize(layer: nil, **given) = super
    end

    class Fixing
      # The sorts: how a layer says how many it uses, what one is called, and what of the plan's materials it is.
      Sort = Value.define(:used, :unit, :suits)
      SORTS = {
        chenille: Sort.new(used: :stems, unit: :stems, suits: ->(each) { each.kind == :tie && each.sort == :chenille }),
        cable: Sort.new(used: :ties_used, unit: :ties, suits: ->(each) { each.kind == :tie && each.sort == :cable }),
        wire: Sort.new(used: :wires_used, unit: :wires, suits: ->(each) { each.kind == :wire })
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
            SORTS.filter_map { |sort, each|
              count = layer.public_send(each.used)
              of(plan, sort, count, layer.class.title.downcase, layer.id) if count.positive?
            }
          }
        end

        private

        def of(plan, sort, count, use, layer = nil)
          new(sort:, count:, for: use, material: plan.materials.find(&SORTS.fetch(sort).suits), layer:)
        end
      end

      def unit = Place::Unit.fetch(SORTS.fetch(sort).unit)

      # @return [Place::Need, nil] what it asks of the plan's own material
      def need
        return unless material
        asked = {material: material.id, what: unit.key, of: " for #{self.for}", count:}
        material.counted? ? Place::Need.items(**asked) : Place::Need.pieces(**asked, length: WIRE)
      end

      # @return [String] "2 ties", "1/2 chenille stem"
      def says
        whole, part = count.divmod(1)
        number = [(whole.to_i if whole.positive?), (part.to_r.rationalize(0.01r) unless part.zero?)].compact.join(" ")
        "#{number} #{unit.word((count <= 1) ? 1 : 2)}"
      end

      # @return [Hash] ready for JSON
      def to_h
        {"key" => "#{sort}.#{self.for}", "material" => material&.id, "what" => unit.word(count.ceil),
         "count" => (count == count.to_i) ? count.to_i : count, "for" => self.for}.compact
      end
    end
  end
end
