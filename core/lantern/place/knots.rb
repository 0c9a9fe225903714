# frozen_string_literal: true

module Lantern
  module Place
    # The lie of strips knotted along a rail or round the band.
    module Knots
      # Tails come towards the eye as much as they stand out, and so look shorter (from memory).
      FORESHORTENED = 0.8
      # The golden ratio's share: leaning by it, no two neighbours lean alike, and it is the same every time.
      GOLDEN = 0.6180339887498949

      module_function

      # @param order [Array<Integer>] which material each knot is
      # @param rail [Integer, nil] from the inside; nil round the whole band
      def tied(form, id:, materials:, order:, rail:, tail:, width:, bundle:, outside: false)
        across = rail ? form.section.rails[rail - 1][0] : 0.0
        across = form.half_face if outside
        step = form.path.length / order.size
        knots = order.each_with_index.map { |colour, i|
          {points: knot(form, (i + 0.5) * step, across, i, tail),
           colour:}
        }
        backs = order.each_with_index.map { |colour, i|
          {points: [form.path.beside((i + 0.5) * step, across)] * 3,
           colour:}
        }
        Lie::Knot.new(layer: id, unit: :strips, materials:, width: [width, bundle * 2].min, front: knots, back: backs)
      end

      def knot(form, along, across, number, tail)
        x, y = form.path.beside(along, across)
        dx, dy = form.path.direction(along)
        out = Math.atan2(-dx, dy)
        lean = ((number * GOLDEN) % 1 - 0.5) * 1.3
        inward = (number * Math.sqrt(2)) % 1 < 0.6
        ends = [lean + 0.25, lean - 0.25 + (inward ? Math::PI : 0)].map do |angle|
          [x + Math.cos(out + angle) * tail * FORESHORTENED, y + Math.sin(out + angle) * tail * FORESHORTENED]
        end
        [[x, y], *ends]
      end

      private_class_method :knot
    end
  end
end
