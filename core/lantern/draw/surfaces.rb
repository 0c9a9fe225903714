# frozen_string_literal: true

module Lantern
  module Draw
    # How the materials of a plan look close to: their texture, how far apart its marks stand, and a photo of the cloth
    # at its true scale.
    module Surfaces
      # From one mark to the next, in inches, where nobody measured (from memory); a twist follows its rope.
      USUAL = {herringbone: 1/4r, weave: 1/8r, check: 1/2r, stripe: 3/8r, dot: 3/8r, lace: 1/2r, net: 1/4r}.freeze
      # So much cloth is in a photo, in inches, where nobody said and the material has no width (from memory).
      SHOWN = 4r

      module_function

      # @param materials [Array<Plan::Material>]
      # @return [Array<Hash>] ready for JSON, in the plan's units
      def of(materials, scale)
        materials.map do |material|
          texture = material.texture || ((material.kind == :rope) ? :twist : :plain)
          repeat = material.repeat || USUAL[texture]
          shown = material.picture_width || material.width || SHOWN if material.picture
          {"material" => material.id, "texture" => texture.to_s, "repeat" => repeat && scale.number(repeat),
           "picture" => material.picture, "picture_width" => shown && scale.number(shown)}.compact
        end
      end
    end
  end
end
