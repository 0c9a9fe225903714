# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # Beads, cord or lights, woven through the piece or laid round it.
        class String < Part
          part :string, title: "String", unit: :strings, measures: {length: 18}, optional: %i[woven laid]

          def told = "a string #{text(cut)} long, #{said[:laid] ? "laid round it" : "woven through it"}"

          # Across a bead (from memory), and what has none on it.
          BEAD = 0.4
          BARE = /\b(?:cord|twine|rope|yarn|ribbon|tape|lace)s?\b/i

          # Beads one after the other, along a line that is as long as the string.
          def lies(turn)
            return [[Place::Lie::Tail, (0...count).flat_map { across_it(_1 * 0.5 + 0.2, length / 2.0) }]] if bare?
            number = [(length / wide).floor, 3].max
            [[Place::Lie::Ball, (0...count).flat_map { |i|
              (0...number).map { |bead| strung(bead.fdiv(number), turn + i * 0.5) }
            }]]
          end

          def seen_as(kind) = (kind == Place::Lie::Ball) ? :beads : super

          def wide = bare? ? [super, BEAD].min : BEAD

          private

          def bare? = material.nil? || material.name.match?(BARE)

          # Round in a circle where it is laid; woven, in a lying eight, whose length is 6.1 times its half width.
          def strung(share, turn)
            way = 2 * Math::PI * share
            return [turn + way, length / (2 * Math::PI)] if said[:laid]
            half = length / 6.1
            x, y = half * Math.cos(way), half * Math.sin(way) * Math.cos(way)
            [turn + Math.atan2(y, x), Math.hypot(x, y)]
          end
        end
      end
    end
  end
end
