# frozen_string_literal: true

module Lantern
  module Bench
    # What can hurt somebody, said wherever it applies (common practice). None of it replaces local
    # rules or a licensed person.
    module Cautions
      HOT_GLUE = ["hot_glue", "Glue is hot. Finger guards on, the gun back in its stand between tacks, never the work on the table’s own cloth."].freeze
      FOAM_GLUE = ["foam_glue", "High-temperature glue melts foam: use the low setting."].freeze
      WEAVE_GLUE = ["weave_glue", "Glue seeps through open weave onto fingers: low setting, and press with a stick."].freeze
      WIRE_ENDS = ["wire_ends", "Cut wire flies and scratches: glasses on, ends filed or taped."].freeze
      BLADE = ["blade", "Cut foam with the blade going away from your hand."].freeze
      SINGE = ["singe", "Singeing: synthetic fibre melts and drips, natural fibre flames. Away from glue, paper and dry moss, window open, water at hand."].freeze
      HANGING = ["hanging", "Keep the finished wreath away from candles, heaters and hot lamps, its cords and small parts out of a child’s reach, and its hanger fit for its weight and the wind on the door."].freeze
      PUBLIC = ["public", "In shops, halls, schools and other public rooms decorations may have to be flame-retardant: ask the venue or the local fire authority."].freeze

      module_function

      # @param code [Symbol]
      # @return [String]
      def says(code) = const_get(code.to_s.upcase).last

      # @return [Array<Hash>] ready for JSON
      def for(form, layers)
        materials = layers.flat_map(&:materials)
        list = [HOT_GLUE]
        list << FOAM_GLUE << BLADE if form.base == :foam
        list << WEAVE_GLUE if materials.any?(&:sheer)
        list << WIRE_ENDS if form.base == :wire || materials.any?(&:wired)
        list << SINGE if materials.any? { %i[rope ribbon].include?(_1.kind) }
        (list + [HANGING, PUBLIC]).map { |code, says| {"code" => code, "says" => says} }
      end
    end
  end
end
