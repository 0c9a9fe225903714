# frozen_string_literal: true

module Lantern
  module Bench
    # Glue, stems and ties, counted from the layers' own steps.
    class Supplies
      # Inches across: a bead as it leaves the gun (from memory: squeeze one and measure).
      BEAD = 1 / 8r
      # A glue stick is 7 or 11 mm thick and 100 mm long (published nominal sizes).
      STICK = Rational(70, 254)
      STICK_LENGTH = Rational(1000, 254)

      # @param plan [Plan::Document]
      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      def initialize(plan, form, layers)
        @plan, @form, @layers = plan, form, layers
      end

      # What one wreath is held together with.
      # @return [Array<Fixing>]
      def fixings = @fixings ||= Fixing.all(@plan, @form, @layers)

      # Inches of bead, all wreaths.
      def bead = bead_of_one * @plan.quantity

      # Sticks of glue, whole ones: the bead's volume over a stick's.
      # @return [Integer]
      def sticks = (stick_parts * @plan.quantity - 1e-9).ceil

      # Chenille stems, whole ones.
      # @return [Integer]
      def stems = (used(:chenille) * @plan.quantity - 1e-9).ceil

      # @return [Integer]
      def ties = used(:cable) * @plan.quantity

      # What the steps of one wreath ask of the plan's own materials, by parts: what is left of a stick goes into
      # the next wreath.
      # @return [Array<Place::Need>]
      def needs
        glued = glue && stick_parts.positive?
        sticks = glued ? [Place::Need.items(material: glue.id, what: :glue_sticks, count: stick_parts)] : []
        sticks + fixings.filter_map(&:need) + @plan.steps.flat_map { UsedUp.by(_1, @plan) }
      end

      def to_h
        {
          "bead" => Measure::Length.in_units(bead, @plan.units), "says" => long_text(bead), "sticks" => sticks,
          "stems" => stems, "ties" => ties, "working" => working.map(&:to_h)
        }
      end

      private

      def used(sort) = fixings.select { _1.sort == sort }.sum(&:count)

      def bead_of_one = @form.glued + @layers.sum { _1.fixings.fetch(:glue, 0.0) }

      def stick_parts = bead_of_one * BEAD**2 / (thickness**2 * STICK_LENGTH)

      # What the gun takes; what a coat is put on with is charged there.
      def glue
        pasted = @layers.flat_map(&:materials).filter_map(&:put_on_with)
        @plan.materials.find { |each| each.kind == :glue && !pasted.include?(each.id) }
      end

      def thickness = glue&.diameter || STICK

      def working
        [
          line(:bead, "Glue, bead by bead", "from the steps", long_text(bead)),
          line(:sticks, "Sticks of #{millimetres(thickness)} by 100 mm",
            pencil("%n cm × %n² ÷ (%n² × 10 cm), rounded up", bead * 2.54, BEAD * 25.4, thickness * 25.4), sticks.to_s),
          *(line(:stems, "Chenille stems", "half a stem ties a bow, two a heavy part", stems.to_s) if stems.positive?),
          *(line(:ties, "Cable ties for what is fixed on", "two each", ties.to_s) if ties.positive?)
        ]
      end

      def pencil(pattern, *values) = Measure::Sum.new(pattern:, values:, units: @plan.units, mark: @plan.smallest_mark)

      def line(key, says, sum, answer) = Place::Working.new(key:, says:, sum:, answer:)

      def millimetres(inches) = Measure::Words.short((inches * 25.4).round(1).to_f)

      def long_text(inches) = Measure::Length.long_text(inches, units: @plan.units)
    end
  end
end
