# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A ribbon in one length: a tail, loops one after the other, a tail.
        class Ribbon < Part
          part :ribbon, title: "Ribbon with tails and loops", unit: :bow_ribbons,
            measures: {tail: 6, loops: 4, loop_size: 4}

          # Source: 2 x tail + loops x 2 x loop, and round what it is tied to (common practice).
          def length = 2 * tail + loops * 2 * loop_size + tied_round

          def loops = super.to_i

          def sum
            tied = " + #{bare(tied_round)}" if tied_round.positive?
            "2 × #{bare(tail)} + #{loops} × 2 × #{bare(loop_size)}#{tied}"
          end

          def told
            looped = "#{loops} #{(loops == 1) ? "loop" : "loops"} of #{text(loop_size)}"
            tied = ", #{text(tied_round)} round the band and for the knot" if tied_round.positive?
            return "#{looped}, no tails#{tied}: #{text(length)}" if tail.zero?
            "tail #{text(tail)}, #{looped} laid flat, tail #{text(tail)}#{tied}: #{text(length)}"
          end

          def lies(_turn)
            tails = tail.zero? ? [] : [[DOWN - 0.35, tail.to_f], [DOWN + 0.35, tail.to_f]]
            [[Place::Lie::Tail, tails], [Place::Lie::Loop, both_sides(loops, loop_size.to_f * OPENED)]]
          end
        end
      end
    end
  end
end
