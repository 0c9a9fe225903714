# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A square or a strip rolled to a cone.
        class Cone < Part
          part :cone, title: "Cone", unit: :cones, measures: {width: 6, height: 6}, move: :cone

          def length = height

          def sum = "#{bare(width)} by #{bare(height)}"

          def told = "a piece #{text(width)} by #{text(height)}, rolled to a point"

          def lies(turn) = [[Place::Lie::Tail, fan(count, -DOWN + turn, height.to_f * OPENED, 2.6)]]
        end
      end
    end
  end
end
