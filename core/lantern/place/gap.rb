# frozen_string_literal: true

module Lantern
  module Place
    # A place where the form shows, and how wide it is there.
    Gap = Value.define(:from, :to, :width) do
      # The gap at the outside edge after one of so many coils.
      def self.outside(form, count:, after:, width:)
        pitch = form.path.length / count
        over = form.section.front.length / form.section.girth
        from, to = [after, after + 1].map { form.path.beside((_1 + over) * pitch, form.half_face) }
        [new(from:, to:, width:)]
      end

      def to_h(scale) = {"from" => scale.point(from), "to" => scale.point(to), "width" => scale.number(width)}
    end
  end
end
