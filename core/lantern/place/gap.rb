# frozen_string_literal: true

module Lantern
  module Place
    # A place where the form shows, and how wide it is there.
    Gap = Value.define(:from, :to, :width) do
      # The gap at the wide edge of a leg, so many shares of it on from a place.
      def self.between(form, from, share, leg, width:)
        across = (leg.runs.sum { _1.bend * (_1.to - _1.from) } >= 0) ? form.half_face : -form.half_face
        ends = [0.5, 1.5].map { form.path.beside(leg.along((from.floor + _1) * share, :wide), across) }
        [new(from: ends[0], to: ends[1], width:)]
      end

      def to_h(scale) = {"from" => scale.point(from), "to" => scale.point(to), "width" => scale.number(width)}
    end
  end
end
