# frozen_string_literal: true

module Lantern
  module Draw
    # The lie of a flat strip wound round the band.
    module Bands
      # How many stretches each edge of a strip is drawn in.
      STRETCHES = 4

      module_function

      # Turn after turn. A strip askew at the angle with tan a = g/p covers w / sin a along the run.
      def wound(form, id:, material:, turns:, width:)
        pitch = form.path.length / turns
        front, back = form.section.front, form.section.back
        over = front.length / form.section.girth
        sides = {front: crossing(front, 0.0, over), back: crossing(back, over, 1.0)}
        Lie.new(layer: id, what: "turns", kind: :band, materials: [material], width:, reach: width * 0.04,
          **sides.transform_values { |places| (0...turns).map { strip(form, _1, places, pitch, width) } })
      end

      # Where a turn is while it crosses: the share of the turn, and how far from the middle.
      def crossing(side, from, to)
        (0..STRETCHES).map { |i| [from + (to - from) * i / STRETCHES, side.at(side.length * i / STRETCHES)[0]] }
      end

      def strip(form, turn, places, pitch, width)
        girth = form.section.girth
        ahead, behind = places.map { |share, across|
          along = (turn + share) * pitch
          local = 1 + form.path.curvature(along) * across
          half = width * Math.hypot(1, pitch * local / girth) / 2 / local
          [[along + half, across], [along - half, across]]
        }.transpose
        outline = ahead + between(ahead.last, behind.last) + behind.reverse + between(behind.first, ahead.first)
        strand, begins = form.path.strand_at((turn + 0.5) * pitch)
        {points: outline.map { |along, across| strand.beside(along - begins, across) }}
      end

      # Along an edge of the band a strip's end follows the edge.
      def between(from, to) = [1, 2].map { |third| [from[0] + (to[0] - from[0]) * third / 3.0, from[1]] }

      private_class_method :crossing, :strip, :between
    end
  end
end
