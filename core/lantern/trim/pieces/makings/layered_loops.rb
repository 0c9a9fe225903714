# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Makings
        # Rings of one strip, each smaller than the one below.
        class LayeredLoops < Making
          SMALLEST = 3
          making :layered_loops, title: "Layered loops", move: :layered_rings,
            usual: [{as: :ring, size: SMALLEST + 1}, {as: :ring, size: SMALLEST}],
            bow: {tail: 0, loops: 3, loop_size: 4}

          # An inch less each than the one below.
          def self.usual_of(materials)
            Array.new([2, materials].max) { {as: :ring, size: SMALLEST + _1} }.reverse
          end

          # Of a bow, from the largest down in equal steps.
          def self.parts_of(bow)
            super.flat_map { |said|
              next said unless said[:as] == :ring
              (0...bow.loops).map { {as: :ring, size: bow.loop_size * (bow.loops - _1) / bow.loops} }
            }
          end

          def hands = ["Close each ring and press it flat; lay the smaller on the larger, middle on middle."]
        end
      end
    end
  end
end
