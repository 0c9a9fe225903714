# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A strip closed to a ring and pressed flat.
        class Ring < Part
          part :ring, title: "Ring, pressed flat", unit: :rings, measures: {size: 4}

          # It laps on itself (from memory).
          LAP = 1

          def self.of_bow(bow) = {as: :ring, size: bow.loop_size, count: bow.loops}

          def length = 2 * size + LAP

          def sum = "2 × #{bare(size)} + #{bare(LAP)}"

          def told = "a ring #{text(size)} long laid flat: #{text(cut)}"

          def lies(_turn) = [[Place::Lie::Loop, (0...count).flat_map { across_it(_1 * 0.4, size.to_f) }]]
        end
      end
    end
  end
end
