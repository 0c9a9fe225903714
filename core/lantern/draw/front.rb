# frozen_string_literal: true

module Lantern
  module Draw
    # How much of a form's whole front everything on it hides together.
    class Front
      # Looked at on so many level lines.
      LINES = 80

      # @param form [Form::Band]
      # @param lines [Integer]
      def initialize(form, lines: LINES)
        @form, @lines = form, lines
      end

      # What of the front, and beside it, a layer hides.
      # @param layer [Layer]
      # @yieldreturn [Array<Place::Stroke, Place::Polygon>] what it lies over
      # @return [Rows]
      def hidden(layer)
        # What is coated is hidden without anything lying on it.
        return rows(layer.closes) if layer.in_place.any?(Place::Lie::Wash)
        Rows.of_patches(yield, step)
      end

      # @param hidden [Array<Rows>] by every layer
      # @return [Float] 0..1
      def share(hidden)
        whole = rows(@form.areas)
        return 1.0 if whole.area.zero?
        (1 - hidden.reduce(whole) { |bare, each| bare.less(each) }.area / whole.area).clamp(0.0, 1.0)
      end

      private

      def rows(areas) = areas.map { |area|
        Rows.of_outlines(area.filled, step).less(Rows.of_outlines(area.open, step))
      }.reduce(:and)

      def step
        @step ||= @form.areas.flat_map(&:filled).flatten(1).map(&:last).minmax.then { |top, bottom|
          (bottom - top) / @lines
        }
      end
    end
  end
end
