# frozen_string_literal: true

module Lantern
  module Place
    # The lie of cords laid across the band.
    module Cords
      module_function

      # Passes over one rail and under the next, each the other way from the one before it. Between
      # rails a pass is seen from both sides; where it goes under, the rail hides it.
      # @param spans [Array<Form::Stretches::Span>] where every pass lies
      def woven(form, id:, material:, spans:, width:)
        places = form.section.rails.map(&:first)
        hidden = form.section.rail_radius + width / 2
        ends = [-form.half_face, *places.each_cons(2).map { _1.sum / 2 }, form.half_face].each_cons(2).zip(places)
        sides = [true, false].map do |front|
          spans.each_with_index.flat_map do |(span, rails), pass|
            ends.each_with_index.select { |_, i| rails.cover?(i) }.flat_map do |((from, to), rail), i|
              over = (pass + i).even? == front
              stretches = over ? [[from, to]] : [[from, rail - hidden], [rail + hidden, to]].select { |a, b| b > a }
              stretches.map { |stretch| {points: stretch.map { span.at((_1 / form.half_face + 1) / 2) }} }
            end
          end
        end
        Lie::Cord.new(layer: id, unit: :woven, materials: [material], width:, front: sides[0],
          back: sides[1])
      end
    end
  end
end
