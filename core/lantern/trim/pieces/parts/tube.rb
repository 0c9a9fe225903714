# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # Mesh or cloth rolled to a tube.
        class Tube < Part
          part :tube, title: "Tube, rolled", unit: :tubes, measures: {length: 10, across: 1}, optional: [:width],
            move: :tube

          def seen_as(_kind) = :tube_ends

          def told = "a tube #{text(cut)} long, rolled to #{text(across)} across"

          def seen_width = across.to_f

          def lies(turn) = [[Place::Lie::Tube, (0...count).flat_map { across_it(turn + _1 * 0.5, length.to_f) }]]
        end
      end
    end
  end
end
