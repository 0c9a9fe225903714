# frozen_string_literal: true

module Lantern
  module Form
    # Places on a form as a clock's face gives them: twelve at the top, six at the bottom.
    module Clock
      # How closely a form is looked at for an hour: all round first, then about the best place.
      LOOKS = 120
      CLOSER = 24

      module_function

      # @param form [Band]
      # @param hour [Numeric] 0 to 12
      # @return [Float] the distance along the path that lies in that direction from the form's middle; where
      #   there are several, the outermost
      def along(form, hour)
        wanted = hour / 12.0 * 2 * Math::PI - Math::PI / 2
        near, = form.path.looked_at.min_by { |_, angle, out| [(off(angle, wanted) * LOOKS / 7).round, -out] }
        step = form.path.length / LOOKS
        closer = (-CLOSER..CLOSER).map { near + step * _1 / CLOSER }
        closer = closer.map { form.closed? ? _1 % form.path.length : _1.clamp(0, form.path.length) }
        closer.min_by { off(seen(form.path, _1).first, wanted).round(9) }
      end

      # All along a path, so closely as it is looked at first.
      # @return [Array<(Float, Float, Float)>] how far along it, in which direction from its middle, and how far out
      def looks(path) = (0...LOOKS).map { |i| (path.length / LOOKS * i).then { [_1, *seen(path, _1)] } }

      # @param along [Float] the distance along the path, of a closed one from twelve
      # @return [Float] the hour at which that place is
      def hour(form, along)
        along = (along(form, 12) + along) % form.path.length if form.closed?
        ((seen(form.path, along).first + Math::PI / 2) * 6 / Math::PI) % 12
      end

      # In which direction from a path's middle a place on it lies, in radians, and how far out.
      def seen(path, along)
        left, top, right, bottom = path.box
        x, y = path.beside(along, 0.0)
        x -= (left + right) / 2
        y -= (top + bottom) / 2
        [Math.atan2(y, x), Math.hypot(x, y)]
      end

      # How far off the direction that is wanted another is.
      def off(angle, wanted) = ((angle - wanted + Math::PI) % (2 * Math::PI) - Math::PI).abs

      # @return [String] the hour as it is said: "6 o’clock", "half past 10"
      def text(hour) = Measure::Words.hour(hour)

      # @return [(Float, Float)] the point on the middle of the band
      def point(form, hour) = form.path.beside(along(form, hour), 0.0)

      private_class_method :seen, :off
    end
  end
end
