# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A ribbon in one length: a tail, loops one after the other, a tail.
        class Ribbon < Part
          part :ribbon, title: "Ribbon with tails and loops", unit: :bow_ribbons,
            measures: {tail: 6, loops: 4, loop_size: 4}

          def self.of_bow(bow) = {as: :ribbon, tail: bow.tail, loops: bow.loops, loop_size: bow.loop_size}

          # Source: 2 x tail + loops x 2 x loop, and what its pinches, its centre or its knot take (common practice).
          def length = 2 * tail + loops * 2 * loop_size + more.sum(&:length)

          def loops = super.to_i

          def sum = ["2 × #{bare(tail)} + #{loops} × 2 × #{bare(loop_size)}", *more.map(&:sum)].join(" + ")

          def told
            looped = "#{loops} #{(loops == 1) ? "loop" : "loops"} of #{text(loop_size)} laid flat"
            ends = ("tail #{text(tail)}" unless tail.zero?)
            "#{[ends || "no tails", looped, *more.filter_map(&:told), ends].compact.join(", ")}: #{text(cut)}"
          end

          def lies(_turn)
            tails = tail.zero? ? [] : [[DOWN - 0.35, tail.to_f], [DOWN + 0.35, tail.to_f]]
            [[Place::Lie::Tail, tails], [Place::Lie::Loop, opened(loop_size.to_f * OPENED)]]
          end

          private

          # One stands up, more lie to both sides.
          def opened(reach) = (loops == 1) ? [[-DOWN, reach]] : both_sides(loops, reach)
        end
      end
    end
  end
end
