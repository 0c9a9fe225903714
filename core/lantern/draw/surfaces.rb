# frozen_string_literal: true

module Lantern
  module Draw
    # How the materials of a plan look close to: their texture, how far apart its marks stand, and a photo of the cloth
    # at its true scale.
    module Surfaces
      # So much cloth is in a photo, in inches, where nobody said and the material has no width (from memory).
      SHOWN = 4r

      module_function

      # What is cut out of its photo is laid as it is, not repeated.
      # @param materials [Array<Plan::Material>]
      # @return [Array<Hash>] ready for JSON, in the plan's units
      def of(materials, scale)
        materials.map do |material|
          texture = material.texture || ((material.kind == :rope) ? :twist : :plain)
          repeat = material.repeat || Texture::ALL.fetch(texture).usual
          photo = material.picture unless material.cut_out?
          shown = material.picture_width || material.width || SHOWN if photo
          {"material" => material.id, "texture" => texture.to_s, "repeat" => repeat && scale.number(repeat),
           "picture" => photo, "picture_width" => shown && scale.number(shown)}.compact
        end
      end
    end
  end
end
