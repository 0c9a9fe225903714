# frozen_string_literal: true

module Lantern
  module Bench
    # What of a finished wreath scratches the door it hangs on, and the two ways of covering it (common practice).
    class Scratches
      BASES = {wire: "the wire", vine: "the twigs"}.freeze

      # @param plan [Plan::Document]
      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @param fixings [Array<Fixing>]
      def initialize(plan, form, layers, fixings)
        @plan, @form, @layers, @fixings = plan, form, layers, fixings
      end

      # @return [Array<String>] what scratches
      def what
        ends = @fixings.group_by(&:unit).map { |unit, alike| "the ends of #{unit.says(alike.sum(&:count).ceil)}" }
        [*(BASES[@form.base] unless round?), *ends, *("the grid" if @layers.any? { _1.is_a?(Cover::Fill) })]
      end

      def round? = @layers.any? { |layer| layer.closes && layer.in_place.any? { _1.back.any? } }

      # @return [Array<Plan::Finding>]
      def findings
        return [] if what.empty? || @layers.none? { _1.class.stage.key == :cover } || @layers.any?(Hang::Backing)
        felt = @plan.materials.find { Hang::Backing.takes.include?(_1.kind) && _1.sheets? }
        [Plan::Finding.new(level: :note, code: "scratches", at: "hang",
          says: "Behind, #{Measure::Words.list(what)} can scratch the door. Felt covers the whole back; a ribbon or " \
            "a scrap glued over what scratches is quicker.",
          add: felt && {method: "backing", material: felt.id})]
      end
    end
  end
end
