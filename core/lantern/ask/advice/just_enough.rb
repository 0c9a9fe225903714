# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # Where hardly anything is left over: a frayed end or a join in the roll costs a piece, and which to make last.
      class JustEnough
        # As a share of all that there is (common practice).
        LITTLE = 0.03

        def initialize(table, **)
          @table = table
        end

        # @return [Array<Piece>]
        def to_a = @table.materials.select(&:lengthwise?).filter_map { piece(_1, @table.cutting(_1)) }

        private

        def piece(material, cutting)
          return if cutting.demand.none? || cutting.short.positive?
          left = cutting.bars.sum(&:left) + cutting.untouched.sum
          whole = left + cutting.bars.sum { _1.length - _1.left }
          return unless left < LITTLE * whole
          Piece.new(code: "just_enough", material: material.id,
            says: "#{material.name} is only just enough: #{left.round(2).zero? ? "nothing" : text(left)} is left of " \
              "#{text(whole)}. A frayed end or a join in the roll would cost a piece: #{last(material)}.")
        end

        # What keeps it enough: a need's own word, or else what to make last.
        def last(material)
          kept = nil
          smallest = nil
          @table.each_layer do |_, _, layer|
            needs = layer.required.select { _1.material == material.id }
            kept ||= needs.filter_map(&:sparing).first
            smallest = [smallest, *needs.select(&:cut?)].compact.min_by { _1.length * (_1.width || 1) }
          end
          kept || "make #{smallest ? "the #{smallest.what}" : "the part that nobody sees"} last"
        end

        def text(inches) = Measure::Length.long_text(inches, units: @table.units)
      end
    end
  end
end
