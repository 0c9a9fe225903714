# frozen_string_literal: true

module Lantern
  module Place
    # The lie of what runs along the band.
    module Along
      module_function

      # A ribbon along the middle of the face, seen where it goes over the coils.
      # @param places [Array<(Float, Float)>] where every coil crosses the middle of the band
      def inlaid(form, id:, material:, places:, over:, under:, width:)
        stretches = (0...places.size / (over + under)).map do |repeat|
          from = repeat * (over + under)
          {points: (from..from + over).map { places[_1 % places.size] }}
        end
        Lie::Line.new(layer: id, unit: :inlaid, materials: [material], width:, front: stretches)
      end

      def coated(form, id:, material:)
        wash = [{points: form.path.trace(0.0, step: form.path.length / 24).first(2)}]
        Lie::Wash.new(layer: id, unit: :coats, materials: [material], width: form.face, front: wash, back: wash)
      end
    end
  end
end
