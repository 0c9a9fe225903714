# frozen_string_literal: true

module Lantern
  module Place
    # The lie of cords laid across the band.
    module Cords
      module_function

      # Coil after coil: over the front from the inside edge to the outside, behind and back.
      def coiled(form, id:, material:, count:, width:)
        pitch = form.path.length / count
        over = form.section.front.length / form.section.girth
        half = form.half_face
        inner = (0..count).map { form.path.beside(_1 * pitch, -half) }
        outer = (0...count).map { form.path.beside((_1 + over) * pitch, half) }
        Lie::Cord.new(layer: id, unit: :coils, materials: [material], width:, reach: width / 2,
          front: (0...count).map { {points: [inner[_1], outer[_1]]} },
          back: (0...count).map { {points: [outer[_1], inner[_1 + 1]]} })
      end

      # Passes over one rail and under the next, each the other way from the one before it. Between
      # rails a pass is seen from both sides; where it goes under, the rail hides it.
      def woven(form, id:, material:, passes:, width:)
        pitch = form.path.length / passes
        places = form.section.rails.map(&:first)
        hidden = form.section.rail_radius + width / 2
        ends = [-form.half_face, *places.each_cons(2).map { _1.sum / 2 }, form.half_face].each_cons(2).zip(places)
        sides = [true, false].map do |front|
          (0...passes).flat_map do |pass|
            ends.each_with_index.flat_map do |((from, to), rail), i|
              over = (pass + i).even? == front
              stretches = over ? [[from, to]] : [[from, rail - hidden], [rail + hidden, to]].select { |a, b| b > a }
              stretches.map { |stretch| {points: stretch.map { form.path.beside((pass + 0.5) * pitch, _1) }} }
            end
          end
        end
        Lie::Cord.new(layer: id, unit: :woven, materials: [material], width:, reach: width / 2, front: sides[0],
          back: sides[1])
      end
    end
  end
end
