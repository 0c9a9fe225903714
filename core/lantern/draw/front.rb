# frozen_string_literal: true

module Lantern
  module Draw
    # How much of a form's whole front everything on it hides together.
    class Front
      # Looked at on so many level lines.
      LINES = 240

      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      def initialize(form, layers)
        @form, @layers = form, layers
      end

      # @return [Float] 0..1
      def share
        return 1.0 if whole.area.zero?
        bare = coated.map { rows(_1) }.reduce(whole) { |left, coat| left.less(coat) }
        (1 - bare.less(Rows.of_patches(lies.flat_map { _1.covers(:front) }, step)).area / whole.area).clamp(0.0, 1.0)
      end

      private

      def lies = @layers.flat_map(&:in_place)

      # What is coated is hidden without anything lying on it.
      def coated = @layers.select { |layer| layer.in_place.any?(Place::Lie::Wash) }.map(&:closes)

      def whole = @whole ||= rows(@form.areas)

      def rows(areas) = areas.map { |area|
        Rows.of_outlines(area.filled, step).less(Rows.of_outlines(area.open, step))
      }.reduce(:and)

      def step
        @step ||= @form.areas.flat_map(&:filled).flatten(1).map(&:last).minmax.then { |top, bottom|
          (bottom - top) / LINES
        }
      end
    end
  end
end
