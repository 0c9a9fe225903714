# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # Beads, cord or lights, woven through the piece or laid round it.
        class String < Part
          part :string, title: "String", unit: :strings, measures: {length: 18}, optional: %i[woven laid]

          def told = "a string #{text(length)} long, #{said[:laid] ? "laid round it" : "woven through it"}"

          def lies(_turn)
            reach = length.to_f / (4 * count)
            [[Place::Lie::Tail, (0...count).flat_map { across_it(_1 * 0.5 + 0.2, 2 * reach) }]]
          end

          def wide = [super, 0.4].min
        end
      end
    end
  end
end
