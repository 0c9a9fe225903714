# frozen_string_literal: true

module Lantern
  module Place
    # The lie of a flat strip wound round the band.
    module Bands
      # How many stretches each edge of a strip is drawn in.
      STRETCHES = 4
      # A strip is not drawn wider on a tight edge than where that is so much of the wide one: it is pinched there.
      NARROWEST = 0.3

      module_function

      # Turn after turn. A strip askew at the angle with tan a = g/p covers w / sin a along the run.
      # @param turns [Array<Integer>] on every strand
      # @param kind [Class] of lie: a flat band, or a gathered one
      def wound(form, id:, material:, turns:, width:, kind: Lie::Band)
        front, back = form.section.front, form.section.back
        over = front.length / form.section.girth
        # As far from the one end of an open band as from the other.
        begins, ends = 0.5 - over / 2, 0.5 + over / 2
        sides = {front: crossing(front, begins, ends), back: crossing(back, ends, 1 + begins)}
        kind.new(layer: id, unit: :turns, materials: [material], width:,
          **sides.to_h { |side, places|
            [side, form.stretches.strands.zip(turns).flat_map { |strand, count|
              # Where a band has a start, the strip's own end is glued behind it.
              begun = (side == :back && !strand.closed?) ? [-1] : []
              [*0...count, *begun].map { strip(form, strand, _1, places, strand.wide / count, width) }
            }]
          })
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
        Lie::Band.new(layer: id, unit: :turns, materials: [material], width:, **sides)
      end

      # Where a turn is while it crosses: the share of the turn, and how far from the middle.
      def crossing(side, from, to)
        (0..STRETCHES).map { |i| [from + (to - from) * i / STRETCHES, side.at(side.length * i / STRETCHES)[0]] }
      end

      # A turn laps the one before it evenly at the wide edge: there each goes as far as the next. Where the band is
      # shorter across it, and over a corner, more of them lie on one another; but a strip stays as wide as it is.
      def strip(form, strand, turn, places, pitch, width)
        half = width * Math.hypot(1, pitch / form.section.girth) / 2
        ahead, behind = [], []
        first = last = nil
        places.each do |share, across|
          far = (turn + share) * pitch
          reach = half / [strand.spread(far, across), NARROWEST].max
          ahead << strand.point(far + reach, across)
          behind << strand.point(far - reach, across)
          last = [far, reach / 3.0, across]
          first ||= last
        end
        # At either edge of the band a strip's end follows the edge.
        {points: [*ahead, *end_of(strand, *last), *behind.reverse, *end_of(strand, *first).reverse]}
      end

      def end_of(strand, far, reach, across) = [strand.point(far + reach, across), strand.point(far - reach, across)]

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

      private_class_method :crossing, :strip, :end_of, :strip_outline
    end
  end
end
