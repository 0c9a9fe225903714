# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # Where the parts of a piece lie: each out from the middle of every place, tails beneath loops, a pinch over them.
      module Drawing
        def lies
          points = places.points.zip(places.turns).map { |(x, y), turned| [x, y, turned] }
          drawn = parts.each_with_index.flat_map { |part, i| drawn_part(part, i, points) }
          # Tails lie beneath whatever is looped over them.
          [*drawn.sort_by.with_index { |lie, i| [lie.is_a?(Place::Lie::Tail) ? 0 : 1, i] }, *pinch(points), *cord_lie]
        end

        private

        def drawn_part(part, number, points)
          turn = made.crosswise? ? number * Math::PI / [parts.size, 2].max : 0.0
          made.lies(part, turn).reject { |_, ways| ways.empty? }.map.with_index do |(kind, ways), i|
            ends = points.flat_map { |x, y, turned| ways.map { |way, far| [x, y, way + turned, far] } }
            kind.new(layer: id, unit: part.seen_as(kind), key: :"part_#{number + 1}_#{i + 1}",
              materials: [part.material].compact,
              width: part.seen_width, front: items(kind, part, ends), called: part.called, words: part.written)
          end
        end

        # @param ends [Array<(Float, Float, Float, Float)>] from which middle, in which direction and how far each lies
        def items(kind, part, ends)
          return part.pictured(ends, by_its_foot: made.class.stems) if kind == Place::Lie::CutOut
          ends.map { {points: shape(kind, part, *_1)} }
        end

        # The points of one of a part's pieces, out from the middle of the whole.
        def shape(kind, part, x, y, way, far)
          tip = [x + Math.cos(way) * far, y + Math.sin(way) * far]
          return [tip] if kind == Place::Lie::Ball
          return Place::Lie::Tag.outline(*tip, part.size.to_f, part.height&.to_f) if kind == Place::Lie::Tag
          return [[x, y], tip] unless kind == Place::Lie::Board
          half, high = part.size / 2.0, part.size * part.shape / 2
          [[-half, -high], [half, -high], [half, high], [-half, high]].map { |dx, dy| [tip[0] + dx, tip[1] + dy] }
        end

        # What ties it is seen as a pinch.
        def pinch(points)
          return [] if !made.made? || !made.class.pinched
          half = parts.map { |part| [part.seen_width, 3.0].min }.max * 0.16
          corners = [[-1, -1.3], [1, -1.3], [0.7, 0], [1, 1.3], [-1, 1.3], [-0.7, 0]]
          front = points.map { |x, y, _| {points: corners.map { |dx, dy| [x + dx * half, y + dy * half] }} }
          [Place::Lie::Panel.new(layer: id, unit: :pinches, materials: [parts.last.material].compact, width: half * 2,
            front:)]
        end

        def cord_lie
          return [] unless at == :middle && cord
          of = @plan.material(cord)
          [Place::Lie::Cord.new(layer: id, unit: :hangers, materials: [of], width: (of.diameter || of.width).to_f,
            front: [{points: places.cord}])]
        end
      end
    end
  end
end
