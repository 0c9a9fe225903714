# frozen_string_literal: true

module Lantern
  module Place
    # The lie of a flat strip wound round the band.
    module Bands
      # How many stretches each edge of a strip is drawn in.
      STRETCHES = 4

      module_function

      # Turn after turn. A strip askew at the angle with tan a = g/p covers w / sin a along the run.
      def wound(form, id:, material:, turns:, width:)
        front, back = form.section.front, form.section.back
        over = front.length / form.section.girth
        sides = {front: crossing(front, 0.0, over), back: crossing(back, over, 1.0)}
        Lie::Band.new(layer: id, unit: :turns, materials: [material], width:, reach: width * 0.04,
          **sides.transform_values { |places| (0...turns).map { strip(form, _1, places, turns, width) } })
      end

      # Strands wound far apart from the middle of the path both ways, each the other's mirror image.
      def mirrored(form, id:, material:, turns:, strands:, width:)
        half = form.path.length / 2
        pitch = half / turns
        front, back = form.section.front, form.section.back
        over = front.length / form.section.girth
        places = {front: crossing(front, 0.0, over), back: crossing(back, over, 1.0)}
        sides = places.transform_values do |crossings|
          [1, -1].product((0...strands).to_a, (0...turns).to_a).map do |way, strand, turn|
            along_at = ->(share) { (turn + strand.fdiv(strands) + share) * pitch }
            {points: strip_outline(form, along_at, crossings, pitch, width) { |along, across|
              form.path.beside((half + way * along).clamp(0, 2 * half), across)
            }}
          end
        end
        Lie::Band.new(layer: id, unit: :turns, materials: [material], width:, reach: width * 0.04, **sides)
      end

      # Where a turn is while it crosses: the share of the turn, and how far from the middle.
      def crossing(side, from, to)
        (0..STRETCHES).map { |i| [from + (to - from) * i / STRETCHES, side.at(side.length * i / STRETCHES)[0]] }
      end

      def strip(form, turn, places, turns, width)
        pitch = form.path.length / turns
        strand, begins = form.path.strand_at(place(form, turn + 0.5, turns))
        along_at = ->(share) { place(form, turn + share, turns) }
        {points: strip_outline(form, along_at, places, pitch, width) { |along, across|
          strand.beside(along - begins, across)
        }}
      end

      # Turns lap evenly at the wide edge: there each goes as far as the next.
      def place(form, turn, turns) = form.path.at_wide_share(turn.fdiv(turns), form.half_face)

      # Out along the edge that goes ahead, and back along the other; at either edge of the band a strip's end
      # follows the edge.
      # @yieldparam along [Float]
      # @yieldparam across [Float]
      # @yieldreturn [(Float, Float)] the point there
      def strip_outline(form, along_at, places, pitch, width)
        girth = form.section.girth
        alongs, halves = [], []
        points = places.map { |share, across|
          alongs << along = along_at.call(share)
          local = 1 + form.path.curvature(along) * across
          halves << half = width * Math.hypot(1, pitch * local / girth) / 2 / local
          yield(along + half, across)
        }
        [1, -1].each { |way| points << yield(alongs[-1] + way * halves[-1] / 3.0, places[-1][1]) }
        (places.size - 1).downto(0) { |i| points << yield(alongs[i] - halves[i], places[i][1]) }
        [-1, 1].each { |way| points << yield(alongs[0] + way * halves[0] / 3.0, places[0][1]) }
        points
      end

      private_class_method :crossing, :strip, :strip_outline, :place
    end
  end
end
