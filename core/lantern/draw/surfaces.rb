# frozen_string_literal: true

module Lantern
  module Draw
    # How the materials of a plan look close to: their texture, how far apart its marks stand, and a photo of the cloth
    # at its true scale.
    module Surfaces
      # So much cloth is in a photo, in inches, where nobody said and the material has no width (from memory).
      SHOWN = 4r

      module_function

      # @param materials [Array<Plan::Material>]
      # @return [Array<Hash>] ready for JSON, in the plan's units
      def of(materials, scale)
        materials.map do |material|
          texture = material.texture || ((material.kind == :rope) ? :twist : :plain)
          repeat = material.repeat || Texture::ALL.fetch(texture).usual
          shown = material.picture_width || material.width || SHOWN if material.picture
          {"material" => material.id, "texture" => texture.to_s, "repeat" => repeat && scale.number(repeat),
           "picture" => material.picture, "picture_width" => shown && scale.number(shown)}.compact
        end
      end
    end
  end
end
