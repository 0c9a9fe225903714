# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # When it must be bought and made: the bench hours laid into the free evenings, from the day they hang
      # backwards, so that everything is dry in time and nothing is begun sooner than it has to be.
      class Calendar
        # One evening at the bench.
        Evening = Value.define(:day, :minutes)

        # @param occasion [Document]
        def initialize(occasion)
          @occasion = occasion
        end

        def known? = !@occasion.day.nil?

        # The last day that anything may still be glued.
        def make_by = @occasion.day - 1 - @occasion.drying

        # @return [Array<Evening>] in their order; those before today too, where there is not time enough
        def evenings
          @evenings ||= begin
            left = @occasion.minutes
            day = make_by
            found = []
            while left > 1e-9 && @occasion.evenings.any? && found.size < 1000
              if @occasion.evenings.include?(Document::DAYS[day.wday])
                found << Evening.new(day:, minutes: [left, @occasion.hours * 60].min)
                left -= found.last.minutes
              end
              day -= 1
            end
            found.reverse
          end
        end

        def start_by = evenings.first&.day || make_by

        # The last day to buy, or to order what has to come.
        def buy_by = start_by - 1 - @occasion.delivery

        # @return [Array<Plan::Finding>]
        def findings
          return [] unless known?
          [*no_evenings, *too_late, *buy_now]
        end

        # The days that have a name, in their order.
        # @return [Array<(Symbol, Date)>]
        def days = {buy_by:, start_by:, make_by:, day: @occasion.day}.to_a

        private

        def lost = evenings.select { _1.day < @occasion.today }.sum(&:minutes)

        def no_evenings
          return if @occasion.evenings.any? || @occasion.minutes.zero?
          Plan::Finding.new(level: :note, code: "no_evenings",
            says: "Say which evenings are free, and the days to begin and to buy by are worked out.", at: "evenings")
        end

        def too_late
          return if lost.zero?
          Plan::Finding.new(level: :stop, code: "no_time",
            says: "#{hours(@occasion.minutes)} at the bench do not fit: #{hours(lost)} of them would have to be " \
              "before today. More evenings, longer ones, or fewer wreaths.", at: "evenings")
        end

        def buy_now
          return if buy_by >= @occasion.today || lost.positive?
          Plan::Finding.new(level: :warn, code: "buy_late",
            says: "What has to be ordered should have been ordered by #{buy_by}: buy it where it can be taken home.",
            at: "delivery")
        end

        def hours(minutes)
          whole, rest = minutes.round.divmod(60)
          whole.zero? ? "#{rest} min" : "#{whole} h#{" #{rest} min" if rest.positive?}"
        end
      end
    end
  end
end
