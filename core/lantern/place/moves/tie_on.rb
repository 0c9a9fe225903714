# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      TieOn = Move.know(:tie_on, "Through the back and round the form",
        ties: true,
        tools: ["pliers", "wire cutter"],
        look: "Pull at it: does it hold?",
        cautions: %i[wire_ends]) do
        frame "What ties it through its back, as much on each side." do
          bow 80, 46, 46
          stem "M80 48 Q60 70 44 112 M80 48 Q100 70 116 112"
        end
        frame "Lay it where it is to be, an end on each side of the band." do
          stem "M52 112 Q56 90 70 56 M108 112 Q104 90 90 56"
          band 74, 30
          bow 80, 48, 42, tails: false
          finger 80, 40, -90
        end
        frame "Behind, pull both ends tight: wire is twisted three times, a cord is knotted twice." do
          band 46, 34
          stem "M66 30 Q62 54 74 66 Q90 74 74 82 Q66 88 80 100 M94 30 Q98 54 86 66 Q70 74 86 82 Q94 88 80 100"
          way "M104 96 Q118 82 102 72"
        end
        frame "Cut them short, and turn the sharp ends in." do
          band 46, 34
          stem "M66 30 Q62 54 74 66 Q90 74 76 80 M94 30 Q98 54 86 66 Q70 74 84 80"
          pliers 84, 82, 40
        end
      end
    end
  end
end
