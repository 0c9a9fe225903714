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

      # @param layers [Array<Cover::Covering>]
      def initialize(plan, layers)
        @plan, @layers = plan, layers
      end

      # Inches of bead, all wreaths.
      def bead = @layers.sum(&:glue) * @plan.quantity

      # Sticks of glue: the bead's volume over a stick's.
      def sticks = (bead * BEAD**2 / (thickness**2 * STICK_LENGTH) - 1e-9).ceil

      # Chenille stems, whole ones.
      def stems = (@layers.sum(&:stems) * @plan.quantity - 1e-9).ceil

      def ties = @layers.sum(&:ties_used) * @plan.quantity

      # What is asked of the plan's own glue, for one wreath of it.
      # @return [Array<Cut::Demand::Asked>]
      def asked
        return [] unless glue && sticks.positive?
        [Cut::Demand::Asked.new(layer: "bench", need: Cover::Need.items(material: glue.id, what: "glue sticks", count: sticks), times: 1)]
      end

      def to_h
        {"bead" => Measure::Length.in_units(bead, @plan.units), "says" => Measure::Length.long_text(bead, units: @plan.units), "sticks" => sticks, "stems" => stems, "ties" => ties, "working" => working}
      end

      private

      def glue = @plan.materials.find { _1.kind == :glue }

      def thickness = glue&.diameter || STICK

      def working
        millimetres = ->(inches) { (inches * 25.4).round(1).to_f.to_s.delete_suffix(".0") }
        [
          {"says" => "Glue, bead by bead", "sum" => "from the steps", "answer" => Measure::Length.long_text(bead, units: @plan.units)},
          {"says" => "Sticks of #{millimetres[thickness]} by 100 mm", "sum" => "#{millimetres[bead / 10]} cm × #{millimetres[BEAD]}² ÷ (#{millimetres[thickness]}² × 10 cm), rounded up", "answer" => sticks.to_s},
          *([{"says" => "Chenille stems", "sum" => "half a stem ties a bow, two a heavy part", "answer" => stems.to_s}] if stems.positive?),
          *([{"says" => "Cable ties for what is fixed on", "sum" => "two each", "answer" => ties.to_s}] if ties.positive?)
        ]
      end
    end
  end
end
