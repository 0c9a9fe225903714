# frozen_string_literal: true

module Lantern
  module Draw
    # How one layer's pieces lie, seen from the front and from the back. `kind` tells the screen
    # how to draw them:
    #
    # - `cord`: each item a centre line x1, y1, x2, y2, as thick as `width`
    # - `band`: each item the corners of a strip, in order round it
    # - `knot`: each item the knot's place, the ends of its two tails, and which material it is
    # - `line`: each item a line through its points, as wide as `width`
    # - `loop`: each item a loop's foot and its tip, as wide as `width`
    # - `disc`: each item a middle, `width` across
    # - `panel`: each item the corners of a piece of cloth
    # - `wash`: a colour on the form itself
    #
    # `reach` is how far anything sticks out past the band, in inches.
    Lie = Value.define(:layer, :what, :kind, :materials, :width, :reach, :front, :back) do
      def initialize(reach: 0.0, back: [], **rest) = super

      def to_h(scale)
        {"layer" => layer, "what" => what, "kind" => kind.to_s, "materials" => materials.map(&:id), "width" => scale.number(width),
         "front" => items(front, scale), "back" => items(back, scale)}
      end

      private

      def items(list, scale) = list.map { |item| {"points" => scale.points(item[:points]), "colour" => item[:colour] || 0} }
    end
  end
end
