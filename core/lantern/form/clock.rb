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
        left, top, right, bottom = form.path.box
        middle = [(left + right) / 2, (top + bottom) / 2]
        wanted = hour / 12.0 * 2 * Math::PI - Math::PI / 2
        step = form.path.length / LOOKS
        near = (0...LOOKS).map { _1 * step }.min_by do |along|
          off, out = seen(form, along, middle, wanted)
          [(off * LOOKS / 7).round, -out]
        end
        closer = (-CLOSER..CLOSER).map { near + step * _1 / CLOSER }
        closer = closer.map { form.closed? ? _1 % form.path.length : _1.clamp(0, form.path.length) }
        closer.min_by { seen(form, _1, middle, wanted).first.round(9) }
      end

      # @param along [Float] the distance along the path, of a closed one from twelve
      # @return [Float] the hour at which that place is
      def hour(form, along)
        along = (along(form, 12) + along) % form.path.length if form.closed?
        left, top, right, bottom = form.path.box
        x, y = form.path.beside(along, 0.0)
        ((Math.atan2(y - (top + bottom) / 2, x - (left + right) / 2) + Math::PI / 2) * 6 / Math::PI) % 12
      end

      # How far off the direction a place lies, in radians, and how far out.
      def seen(form, along, middle, wanted)
        x, y = form.path.beside(along, 0.0)
        x -= middle[0]
        y -= middle[1]
        [((Math.atan2(y, x) - wanted + Math::PI) % (2 * Math::PI) - Math::PI).abs, Math.hypot(x, y)]
      end

      # @return [String] the hour as it is said: "6 o’clock", "half past 10"
      def text(hour)
        whole, part = hour.divmod(1)
        said = whole.to_i.zero? ? 12 : whole.to_i
        return "#{said} o’clock" if part < 0.05
        return "half past #{said}" if (part - 0.5).abs < 0.05
        "#{Measure::Words.short(hour.to_f.round(1))} o’clock"
      end

      # @return [(Float, Float)] the point on the middle of the band
      def point(form, hour) = form.path.beside(along(form, hour), 0.0)

      private_class_method :seen
    end
  end
end
