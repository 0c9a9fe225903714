# frozen_string_literal: true

module Lantern
  module Place
    # One of the hand's moves: what it is called under its picture, what to look at before going on, and what
    # can hurt. The screens have a picture for every one.
    Move = Value.define(:key, :says, :look, :cautions, :tools)

    class Move
      ALL = Registry.new("move of the hand")

      class << self
        # @param cautions [Array<Symbol>] keys of {Caution}
        # @param tools [Array<String>] what it takes besides what a caution asks for
        # @return [Move]
        # @raise [Registry::Unknown] for a caution that nobody declared
        def know(key, says, look:, cautions: [], tools: [])
          ALL.know(key, new(key:, says:, look:, cautions: cautions.map { Caution.fetch(_1) }.freeze, tools:))
        end

        # @raise [Registry::Unknown]
        def fetch(key) = ALL.fetch(key)
      end

      # @return [Hash] for the API
      def declare = {"key" => key.to_s, "says" => says}

      # Common practice.
      know :tape_ends, "Tape over every cut end", tools: ["tape"], look: "Run a thumb along it: nothing scratches?",
        cautions: %i[wire_ends]
      know :smooth, "Along the edges, away from the hand", tools: ["sandpaper"],
        look: "Run a thumb along it: does anything catch?"
      know :cut, "One measured, the rest laid on it", tools: ["tape measure", "scissors"],
        look: "Lay two side by side: are they alike?"
      know :coil, "Round the band, coil beside coil", cautions: %i[hot_glue],
        look: "Do the coils touch inside, and stand straight out?"
      know :filler, "Over the outside edge, both ends tucked behind", cautions: %i[hot_glue],
        look: "Is the form still to be seen from an arm’s length?"
      know :wrap, "Round the band, each turn over the last", cautions: %i[hot_glue],
        look: "Does every turn lap the last at the outside edge?"
      know :inlay, "Over some, under some, folded at each change", cautions: %i[hot_glue],
        look: "Is the rhythm the same all round?"
      know :over_under, "Over one rail, under the next", look: "Does each pass go the other way from the last?"
      know :knot, "Round, and a double knot on the front",
        look: "Are the knots in one line and the tails alike?"
      know :zigzag, "Folded to and fro, cinched in the middle", look: "Are all folds of one size?"
      know :catch, "Gather, and twist the tie shut", tools: ["pliers"], look: "Do the loops stand alike?"
      know :stretch, "From the widest place, down each side", tools: ["clips"], cautions: %i[hot_glue],
        look: "Is it drum-tight, its pattern straight, and no fold on the front?"
      know :rows, "Row under row, tacked in several places", look: "Are the rows level?", cautions: %i[hot_glue]
      know :cone, "Rolled, its seam glued, its foot flat", look: "Are the mouths alike?", cautions: %i[hot_glue]
      know :brush, "Thin and even", tools: ["brush"], look: "Is it dry to the touch?"
      know :bloom, "Pushed through, each touching its neighbours", look: "Is the grid out of sight?"
      know :pinch_and_twist, "Pinch, loop, half a twist", look: "Are both sides alike, and is the good side out?"
      know :two_loops, "Two loops, one tucked under the other", look: "Are the loops alike?"
      know :crossed, "One loop, its ends crossed", look: "Do the ends hang alike?", cautions: %i[hot_glue]
      know :tie_on, "Through the back and round the form", tools: ["pliers", "wire cutter"],
        look: "Pull at it: does it hold?", cautions: %i[wire_ends]
      know :tack, "A drop, and hold it", look: "Pull at it: does it hold?", cautions: %i[hot_glue]
      know :larks_head, "Loop behind, both ends through", look: "Does it hang straight?"
      know :twist, "Bent double, its ends wound round", tools: ["pliers", "wire cutter"],
        look: "Are the sharp ends turned in?", cautions: %i[wire_ends]
      know :joined, "Two ends side by side, bound", look: "Does it hang straight?"
      know :loop_behind, "A loop, both ends glued flat", cautions: %i[hot_glue],
        look: "Has it set before it carries anything?"
      know :press, "From the middle out", look: "Does anything still scratch?", cautions: %i[hot_glue]
      know :own, "As you wrote it", look: "Is it as you meant it?"
      know :look, "From across the room", look: "Would you hang it on your own door?", cautions: %i[hanging]
    end
  end
end
