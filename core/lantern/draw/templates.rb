# frozen_string_literal: true

module Lantern
  module Draw
    # What of a wreath can be printed at its true size: the form's own outlines, and those its layers have.
    class Templates
      # A back that nobody asked for is so much smaller than the form, all round (common practice).
      MARGIN = 0.25

      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      def initialize(form, layers)
        @form, @layers = form, layers
      end

      # @return [Array<Place::Template>]
      def to_a
        own = @layers.flat_map(&:templates).uniq(&:name)
        own += [back] if own.none? { _1.name == "back" }
        [outline, *own.sort_by { (_1.name == "back") ? 1 : 0 }, *mesh, *board]
      end

      private

      def outline = made("outline", "Outline", "The form itself, its outer and its inner edge.", @form.half_face)

      def back
        made("back", "Back", "The felt, a quarter of an inch smaller all round.",
          @form.half_face - [MARGIN, @form.half_face / 2].min)
      end

      def board
        return [] unless @form.base == :board
        [made("board", "Board", "To be cut from a board with the blade going away from the hand.", @form.half_face)]
      end

      def mesh
        return [] unless @form.closed?
        [Place::Template.new(name: "mesh", title: "Mesh for the middle", says: "What the inner edge leaves open.",
          outlines: @form.opening.outlines)]
      end

      def made(name, title, says, reach)
        Place::Template.new(name:, title:, says:, outlines: Place::Template.band(@form, reach))
      end
    end
  end
end
