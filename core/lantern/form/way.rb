# frozen_string_literal: true

module Lantern
  module Form
    # How much of a form a layer runs along: from where to where of which of its parts, and that stretch as a band of
    # its own. Distances are along the part's own path.
    #
    # A stop at a corner is moved to where the next leg begins, so that what ends there fans out over the corner.
    Way = Value.define(:part, :from, :to, :band, :whole, :length)

    class Way
      # So far past a corner, inches, that the whole of it lies before.
      PAST = 1e-3
      private_constant :PAST

      class << self
        # @param form [Band]
        # @param said [Plan::LayerSaid]
        # @param units [String]
        # @return [Way]
        # @raise [Plan::Refused]
        def of(form, said, units:)
          from, to, part = said.options.values_at(:from, :to, :part)
          own = part_of(form, part, said)
          return new(part:, from: 0.0, to: own.path.length, band: own, whole: part.nil?, length: own.path.length) unless
            from || to
          if own.path.strands.size > 1
            refuse(said, from ? :from : :to, "Say which part of the form: each has its own beginning.")
          end
          along = [from, to].zip(%i[from to], [0.0, own.path.length]).map { |stop, key, usual|
            stop ? settled(own, place(own, stop, key, said, units)) : usual
          }
          if !own.closed? && along[1] <= along[0] + 1e-9
            refuse(said, :to, "It must end after it begins, and #{to&.says(units) || "the end"} is not after " \
              "#{from&.says(units) || "the start"}.")
          end
          new(part:, from: along[0], to: along[1], band: own.between(*along), whole: false, length: own.path.length)
        end

        private

        def part_of(form, part, said)
          return form unless part
          form.members[part - 1] or refuse(said, :part, (form.members.size == 1) ? "This form has no parts." :
            "This form has #{form.members.size} parts; there is no part #{part}.")
        end

        def place(form, stop, key, said, units)
          if stop.hour
            along = Clock.along(form, stop.hour)
            return (form.closed? && form.path.length - along < 1e-6) ? 0.0 : along
          end
          if form.closed?
            refuse(said, key, "On a form that goes round say an hour, 0 to 12; #{stop.says(units)} is a length.")
          end
          long = form.path.length
          return stop.along.to_f if stop.along <= long + 1e-9
          refuse(said, key, "The band is #{Measure::Length.text(long, units:)} long; #{stop.says(units)} lies past " \
            "its end.")
        end

        def settled(form, along)
          legs = form.stretches.legs
          round = form.closed? ? form.path.length : 0.0
          legs.each_with_index do |leg, i|
            following = legs[(i + 1) % legs.size]
            next if form.stretches.after[i].nil?
            ends = leg.to
            begins = following.from + PAST
            begins += round while begins < ends - 1e-9 && round.positive?
            inside = [along, along + round].find { _1 > ends - 1e-6 && _1 < begins + 1e-6 } or next
            return (inside.positive? && round.positive?) ? begins % round : begins
          end
          along
        end

        def refuse(said, key, says) = raise(Plan::Refused.at("#{said.at}.#{key}", says))
      end

      # How much of this stretch another covers too, as a share.
      # @param other [Way]
      def shared(other)
        return 1.0 if (whole && other.whole) || other.whole
        return 0.0 if part && other.part && part != other.part
        return 1.0 if other.full?
        long = band.path.length
        spans.product(other.spans).sum { |(a, b), (c, d)| [[b, d].min - [a, c].max, 0.0].max } / long
      end

      # At how many of its ends another begins or ends.
      def meets(other)
        return 0 if whole || other.whole || part != other.part
        [[from, other.to], [to, other.from]].count { |a, b| (a - b).abs < 1e-6 }
      end

      # Whether it goes all the way along its part.
      def full? = whole || band.path.length > length - 1e-6

      # From where to where, cut in two where it goes past the part's own start.
      def spans = wraps? ? [[from, length], [0.0, to]] : [[from, to]]

      private

      def wraps? = to <= from
    end
  end
end
