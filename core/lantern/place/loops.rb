# frozen_string_literal: true

module Lantern
  module Place
    # The lie of what stands out from the band: loops, bows, cones. They come towards the eye as much as
    # they stand out, and so look shorter.
    module Loops
      # How much of a loop's height is seen from the front (from memory).
      SEEN = 0.45

      module_function

      # Folded strips, one loop in each space between rails, leaning inwards on the inside.
      def pushed(form, id:, materials:, order:, loops:, size:, width:)
        step = form.path.length / order.size
        spaces = spaces(form, loops)
        items = order.each_with_index.flat_map do |colour, i|
          spaces.each_with_index.map { |across, j|
            {points: standing(form, (i + 0.5) * step, across, size * SEEN,
              lean(i, j), across.negative? ? -1 : 1), colour:}
          }
        end
        behind = order.each_with_index.map { |colour, i|
          {points: [-0.7, 0.7]
            .map { form.path.beside((i + 0.5) * step, _1 * form.half_face) }, colour:}
        }
        Lie::Loop.new(layer: id, unit: :loops, materials:, width: [width * 0.7, size * 0.5].min,
          front: items, back: behind)
      end

      # Loops of one strip between ties, rail after rail, the outer one first: each a cushion from tie to
      # tie, as high as the strip lets it stand.
      def caught(form, id:, material:, ties:, rails:, length:, width:)
        lines = (form.section.rails.empty? ? [[0.0, 0.0]] : form.section.rails).last(rails).map(&:first).reverse
        step = form.path.length / ties
        items = lines.product((0...ties).to_a).map do |across, i|
          half = [cushion(length, step), width / 2].min
          {points: (0...20).map { |turn|
            form.path.beside((i + 0.5 + 0.55 * Math.cos(turn * Math::PI / 10)) * step,
              across + half * Math.sin(turn * Math::PI / 10))
          }}
        end
        Lie::Cushion.new(layer: id, unit: :loops, materials: [material], width: 2.0, front: items)
      end

      # Half as wide as a loop looks that stands over so much of the rail.
      def cushion(length, step) = Math.sqrt([(length / 2)**2 - (step / 2)**2, 0].max) * SEEN

      # Made-up pieces: each part of the recipe as a pair of loops across the band, turned a little
      # from the part before it.
      def row(form, id:, material:, count:, each:, length:, width:, place:, alternate: false)
        step = form.path.length / count
        half = length / 6
        items = (0...count).flat_map do |i|
          (0...each).flat_map do |turn|
            angle = (place + turn * 2) * 0.5 + Math::PI / 2
            across = aside(form, i, alternate)
            [angle, angle + Math::PI].map { |lean| {points: standing(form, (i + 0.5) * step, across, half, lean, 1)} }
          end
        end
        Lie::Loop.new(layer: id, unit: :loops, key: :"loops_#{place + 1}", materials: [material],
          width: [width, half * 0.9].min, front: items)
      end

      # By turns: one third inside, two thirds outside (common practice).
      def aside(form, number, alternate)
        return 0.0 unless alternate
        (number % 3).zero? ? -form.half_face / 2 : form.half_face / 2
      end

      # Rolled cones, mouths outward.
      def cones(form, id:, material:, count:, layer:, height:, mouth:)
        step = form.path.length / count
        foot, rim = -form.half_face * 0.3, form.half_face + height * (0.35 - 0.15 * layer)
        items = (0...count).map do |i|
          along = (i + ((layer % 2) * 0.5)) * step
          sides = [-0.5, -0.25, 0.25, 0.5].map { |share| [share * mouth, rim + (0.25 - share**2) * mouth * 0.6] }
          foot_point = form.path.beside(along, foot)
          {points: [foot_point, *sides.map { |aside, across| beside(form, along, aside, across) }]}
        end
        Lie::Panel.new(layer: id, unit: :cones, key: :"cones_#{layer + 1}", materials: [material], width: mouth,
          front: items)
      end

      # A point so far aside from a place, straight, not round the bend.
      def beside(form, along, aside, across)
        x, y = form.path.beside(along, across)
        dx, dy = form.path.direction(along)
        [x + dx * aside, y + dy * aside]
      end

      # The foot of a loop and its tip: outwards (or inwards, with a side of -1), leaning.
      def standing(form, along, across, height, lean, side)
        x, y = form.path.beside(along, across)
        dx, dy = form.path.direction(along)
        out = Math.atan2(-dx * side, dy * side) + lean
        [[x, y], [x + Math.cos(out) * height, y + Math.sin(out) * height]]
      end

      # Leaning by the golden ratio's share, no two neighbours alike.
      def lean(strip, loop) = (((strip * 3 + loop) * Knots::GOLDEN) % 1 - 0.5) * 0.9

      # The middles of the spaces between rails, or as many places across the face.
      def spaces(form, loops)
        between = form.section.rails.each_cons(2).map { |a, b| (a[0] + b[0]) / 2 }
        (between.size == loops) ? between : (0...loops).map { |i| form.half_face * (2 * (i + 0.5) / loops - 1) }
      end

      private_class_method :aside, :cushion, :beside, :standing, :lean, :spaces
    end
  end
end
