# frozen_string_literal: true

module Lantern
  module Form
    # Places on a form as a clock's face gives them: twelve at the top, six at the bottom.
    module Clock
      # How closely a form is looked at for an hour.
      LOOKS = 720

      module_function

      # @param form [Band]
      # @param hour [Numeric] 0 to 12
      # @return [Float] the distance along the path that lies in that direction from the form's middle; where
      #   there are several, the outermost
      def along(form, hour)
        left, top, right, bottom = form.path.box
        middle = [(left + right) / 2, (top + bottom) / 2]
        wanted = hour / 12.0 * 2 * Math::PI - Math::PI / 2
        places = (0...LOOKS).map { form.path.length * _1 / LOOKS }
        places.min_by do |along|
          x, y = form.path.beside(along, 0.0)
          off = ((Math.atan2(y - middle[1], x - middle[0]) - wanted + Math::PI) % (2 * Math::PI) - Math::PI).abs
          [(off * 200).round, -Math.hypot(x - middle[0], y - middle[1])]
        end
      end

      # @return [(Float, Float)] the point on the middle of the band
      def point(form, hour) = form.path.beside(along(form, hour), 0.0)
    end
  end
end
