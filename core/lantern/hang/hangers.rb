# frozen_string_literal: true

module Lantern
  module Hang
    # The kinds of hanger: what each is cut from, how long, and how the hands go.
    module Hangers
      # `holds` is in grams, from memory: pull at it before it hangs.
      Kind = Value.define(:title, :takes, :length, :says, :move, :holds)

      KINDS = {
        # A cord doubled round the form, its ends through its own loop (length from memory).
        larks_head: Kind.new(title: "Lark’s head cord", takes: %i[rope ribbon], length: 24r, move: :larks_head,
          holds: 3000,
          says: "Double the cord, lay the loop behind the band, pass both ends over the band and through the loop, " \
            "pull tight, and knot the ends."),
        # A strip of 12 in, knotted (common practice).
        knotted_strip: Kind.new(title: "Knotted strip", takes: %i[fabric ribbon mesh], length: 12r, move: :knot,
          holds: 1500,
          says: "Round the band at the back, a double knot close to it, another at the ends."),
        # Chenille stems are about 12 in long (common practice).
        chenille: Kind.new(title: "Chenille stem", takes: %i[tie wire], length: 12r, move: :twist,
          holds: 800,
          says: "Bend the stem double, twist a loop, and wind both ends round the form where nobody sees them; turn " \
            "the sharp ends in."),
        # The ends of the rope that covers the form, joined (from memory).
        rope_ends: Kind.new(title: "Joined rope ends", takes: %i[rope], length: 10r, move: :joined,
          holds: 3000,
          says: "Leave both ends of the rope long, lay them side by side into a loop, and bind them with a few turns " \
            "of thread or wire."),
        # A loop of ribbon, rope or twine glued behind (from memory).
        ribbon_loop: Kind.new(title: "Loop glued behind", takes: %i[ribbon fabric rope], length: 8r,
          move: :loop_behind, holds: 400,
          says: "Fold it to a loop, glue both ends flat behind (a cord’s knot with them), and a patch across them."),
        # Pushed into an arc's two ends with glue (length from memory).
        in_holes: Kind.new(title: "Cord in holes in both ends", takes: %i[rope ribbon wire], length: 18r, holds: 800,
          move: :in_holes,
          says: "A hole in each end as deep as a finger, glue in it, and the cord’s end pushed in."),
        # For what is meant to hang askew (length from memory).
        one_side: Kind.new(title: "Cord at one side, to hang askew", takes: %i[rope ribbon wire], length: 14r,
          holds: 1500, move: :larks_head,
          says: "Double it and loop it round the band at that side only: it hangs askew from there."),
        # The frame is there already.
        frame: Kind.new(title: "The frame’s own wire", takes: [], length: 0r, holds: 5000, move: :twist,
          says: "Nothing is needed: it hangs by the frame’s own wire, between two crossbars.")
      }.freeze
    end
  end
end
