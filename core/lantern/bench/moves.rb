# frozen_string_literal: true

module Lantern
  module Bench
    # The hand's moves: what each is called under its picture, what to look at before going on, and
    # what can hurt.
    module Moves
      Move = Value.define(:says, :look, :cautions)

      ALL = {
        prepare: Move.new(says: "Tape over every cut end", look: "Run a thumb along it: nothing scratches?", cautions: %i[wire_ends]),
        cut: Move.new(says: "One measured, the rest laid on it", look: "Lay two side by side: are they alike?", cautions: []),
        coil: Move.new(says: "Round the band, coil beside coil", look: "Do the coils touch inside, and stand straight out?", cautions: %i[hot_glue]),
        filler: Move.new(says: "Over the outside edge, both ends tucked behind", look: "Is the form still to be seen from an arm’s length?", cautions: %i[hot_glue]),
        wrap: Move.new(says: "Round the band, each turn over the last", look: "Does every turn lap the last at the outside edge?", cautions: %i[hot_glue]),
        inlay: Move.new(says: "Over some, under some, folded at each change", look: "Is the rhythm the same all round?", cautions: %i[hot_glue]),
        over_under: Move.new(says: "Over one rail, under the next", look: "Does each pass go the other way from the last?", cautions: []),
        knot: Move.new(says: "Round, and a double knot on the front", look: "Are the knots in one line and the tails alike?", cautions: %i[singe]),
        zigzag: Move.new(says: "Folded to and fro, cinched in the middle", look: "Are all folds of one size?", cautions: []),
        catch: Move.new(says: "Gather, and twist the tie shut", look: "Do the loops stand alike?", cautions: []),
        stretch: Move.new(says: "From the widest place, down each side", look: "Is the pattern straight, and no fold on the front?", cautions: %i[hot_glue blade]),
        rows: Move.new(says: "Row under row, tacked in several places", look: "Are the rows level?", cautions: %i[hot_glue]),
        cone: Move.new(says: "Rolled, its seam glued, its foot flat", look: "Are the mouths alike?", cautions: %i[hot_glue]),
        brush: Move.new(says: "Thin and even", look: "Is it dry to the touch?", cautions: []),
        bloom: Move.new(says: "Pushed through, each touching its neighbours", look: "Does the grid show?", cautions: []),
        pinch_and_twist: Move.new(says: "Pinch, loop, half a twist", look: "Are both sides alike, and is the good side out?", cautions: []),
        two_loops: Move.new(says: "Two loops, one tucked under the other", look: "Are the loops alike?", cautions: []),
        crossed: Move.new(says: "One loop, its ends crossed", look: "Do the ends hang alike?", cautions: %i[hot_glue]),
        tie_on: Move.new(says: "Through the back and round the form", look: "Pull at it: does it hold?", cautions: %i[wire_ends]),
        tack: Move.new(says: "A drop, and hold it", look: "Pull at it: does it hold?", cautions: %i[hot_glue]),
        larks_head: Move.new(says: "Loop behind, both ends through", look: "Does it hang straight?", cautions: []),
        twist: Move.new(says: "Bent double, its ends wound round", look: "Are the sharp ends turned in?", cautions: %i[wire_ends]),
        joined: Move.new(says: "Two ends side by side, bound", look: "Does it hang straight?", cautions: []),
        loop_behind: Move.new(says: "A loop, both ends glued flat", look: "Has it set before it carries anything?", cautions: %i[hot_glue]),
        press: Move.new(says: "From the middle out", look: "Does anything still scratch?", cautions: %i[hot_glue]),
        look: Move.new(says: "From across the room", look: "Would you hang it on your own door?", cautions: %i[hanging])
      }.freeze

      module_function

      # @return [Move, nil]
      def of(name) = name && ALL[name.to_sym]
    end
  end
end
