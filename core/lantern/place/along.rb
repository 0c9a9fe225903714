# frozen_string_literal: true

module Lantern
  module Place
    # The lie of what runs along the band.
    module Along
      module_function

      # A ribbon along the middle of the face, seen where it goes over the coils.
      def inlaid(form, id:, material:, coils:, over:, under:, width:)
        pitch = form.path.length / coils
        stretches = (0...coils / (over + under)).map do |repeat|
          from = repeat * (over + under) * pitch
          {points: (0..4).map { |i| form.path.at(from + over * pitch * i / 4) }}
        end
        Lie::Line.new(layer: id, unit: :inlaid, materials: [material], width:, front: stretches)
      end

      # A colour on the form itself.
      def coated(form, id:, material:)
        wash = [{points: form.path.trace(0.0, step: form.path.length / 24).first(2)}]
        Lie::Wash.new(layer: id, unit: :coats, materials: [material], width: form.face, front: wash, back: wash)
      end
    end
  end
end
