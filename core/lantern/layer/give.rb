# frozen_string_literal: true

module Lantern
  class Layer
    # Something that a maker would give a little of to save a package: an option, how far it may go (`to`, a value or
    # the method that answers it; or `share`, as part of what it is now), and how the change is said, `%s` for the
    # new value. A choice goes straight to its other word.
    #
    # `percent` says that a number is said so, `by` how much it is moved at a time.
    #
    #   gives :lap, to: Rational(1, 8), says: "a lap of %s"
    #   gives :tail, share: 0.85, says: "tails of %s"
    Give = Value.define(:option, :to, :share, :says, :percent, :by) do
      def initialize(to: nil, share: nil, percent: false, by: nil, **given) = super
    end

    class Give
      # The marks that a length is moved by, in inches and in centimetres; the first that takes no more than so many
      # steps to the limit.
      MARKS = {"in" => [1 / 16r, 1 / 8r, 1 / 4r, 1 / 2r, 1r],
               "cm" => [0.1r, 0.2r, 0.5r, 1r, 2r, 5r].map { _1/2.54r }}.freeze
      NUMBERS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5].freeze
      MOST_STEPS = 8

      # What it could be instead, the least change first: the declared scale.
      # @param layer [Layer]
      # @param units [String]
      # @return [Array<Numeric, Symbol>]
      def steps(layer, units)
        now = layer.public_send(option)
        limit = limit_of(layer, now)
        return [] if limit.nil? || limit == now
        return [limit] if limit.is_a?(Symbol)
        return marks(now, limit, units) if length?(layer)
        scale(now, limit, by ? [by] : NUMBERS).map { _1.round(3) }
      end

      # The value as a document writes it.
      # @return [String, Numeric]
      def written(value, units)
        return value.to_s if value.is_a?(Symbol)
        value.is_a?(Float) ? value : Measure::Length.exact_text(value, units:)
      end

      def said(value, units)
        return says if value.is_a?(Symbol)
        return format(says, Measure::Words.percent(value)) if percent
        format(says, value.is_a?(Float) ? Measure::Words.number(value) : Measure::Length.exact_text(value, units:))
      end

      private

      def limit_of(layer, now)
        return (now * share.to_r if now) if share
        (to.is_a?(Symbol) && layer.respond_to?(to)) ? layer.public_send(to) : to
      end

      # A length may be worked out, and so a float: it is moved by marks like one that was said.
      def length?(layer) = layer.class.options.find { _1.name == option }.is_a?(Plan::Field::Length)

      # The limit as it can be written.
      def marks(now, limit, units)
        scale(now.to_r, Measure::Length.read(written(limit.to_r, units), units:), MARKS.fetch(units))
      end

      # From mark to mark towards the limit, and the limit itself last.
      def scale(now, limit, marks)
        mark = marks.find { ((limit - now) / _1).abs <= MOST_STEPS } || marks.last
        way = (limit <=> now)
        first = ((now / mark) * way).floor * way * mark
        values = (1..MOST_STEPS).map { first + way * _1 * mark }
        between = values.select { |value| (value - now) * way > 1e-9 && (limit - value) * way > 1e-9 }
        [*between, limit]
      end
    end
  end
end
