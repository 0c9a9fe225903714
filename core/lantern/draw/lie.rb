# frozen_string_literal: true

module Lantern
  module Draw
    # How one layer's pieces lie, seen from the front and from the back. `kind` tells the screen
    # how to draw them:
    #
    # - `cord`: each item a centre line x1, y1, x2, y2, as thick as `width`
    # - `band`: each item the corners of a strip, in order round it
    # - `knot`: each item the knot's place, the ends of its two tails, and which material it is
    #
    # `reach` is how far anything sticks out past the band, in inches.
    Lie = Value.define(:layer, :what, :kind, :materials, :width, :reach, :front, :back) do
      def to_h(scale)
        {"layer" => layer, "what" => what, "kind" => kind.to_s, "materials" => materials.map(&:id), "width" => scale.number(width),
         "front" => items(front, scale), "back" => items(back, scale)}
      end

      private

      def items(list, scale) = list.map { |item| {"points" => scale.points(item[:points]), "colour" => item[:colour] || 0} }
    end
  end
end
