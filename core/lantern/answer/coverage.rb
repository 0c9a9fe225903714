# frozen_string_literal: true

module Lantern
  module Answer
    # What is looked at when everything else of a plan is worked: how much of the form is hidden, and where it shows.
    class Coverage
      # @param work [Work]
      def initialize(work)
        @work = work
        @plan = work.plan
      end

      # @return [Hash] ready for JSON: what is to be put into the `form`; of every `layers`, by their ids, what is to be
      #   put in; the `stages` that have nothing left to settle; and what the drawing points at (`gaps`)
      def to_h
        {"form" => form, "layers" => @work.layers.to_h { [_1.id, layer(_1)] }, "stages" => stages, "gaps" => gaps}
      end

      # Of the form: the share of its whole front that all layers hide together.
      # @return [Hash]
      def form = {"covered" => @work.covered_in_all.round(4)}

      # Of one layer: how much of what it means to close is hidden, where it is bare, and all findings.
      # @param layer [Layer]
      # @return [Hash]
      def layer(layer)
        covered = @work.covered(layer)
        scale = Draw::Scale.new(@plan.units)
        {"covered" => covered.share&.round(4), "bare" => covered.places.map { _1.to_h(scale) },
         "findings" => @work.findings(layer).map(&:to_h)}.compact
      end

      # Which stages have nothing left to settle. Whether it was made, the plan does not know.
      # @return [Hash{String=>Boolean}]
      def stages = Stage::ALL.keys.to_h { |key| [key.to_s, settled?(key)] }

      # The places that are bare, as the drawing points at them.
      # @return [Array<Hash>]
      def gaps = Draw.bare(@work.bare_places, @plan.units)

      # Whether a stage has nothing left to settle.
      # @param key [Symbol]
      def settled?(key)
        case key
        when :form then @work.form.findings.none? { _1.level == :warn }
        when :hang then @work.layers.any?(&:hangs?) && layers_settled?(key)
        when :cut then needed? && @work.enough?
        when :buy then needed? && @work.enough? && @work.bill.to_buy.zero?
        when :bench then false
        else layers_settled?(key)
        end
      end

      private

      def needed? = @work.bill.needed.any?

      def layers_settled?(key)
        own = @work.layers.select { _1.class.stage.key == key }
        own.any? && own.flat_map { @work.findings(_1) }.none? { %i[stop warn].include?(_1.level) }
      end
    end
  end
end
