# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      TapeEnds = Move.know(:tape_ends, "Tape over every cut end",
        tools: ["tape"],
        look: "Run a thumb along it: nothing scratches?",
        cautions: %i[wire_ends]) do
        frame "Feel along the frame, slowly, for every cut end of wire." do
          rails 56, 76
          wire "M88 76 L104 48", width: 3.4
          finger 107, 43, -62
        end
        frame "Tear off a piece of tape, as long as your thumb." do
          strip "M20 60 L140 60", 24, :paper
          circle 20, 60, 22, :metal
          circle 20, 60, 9, :paper
          fingers 128, 60, 90
        end
        frame "Fold it over the end, both halves on one another." do
          rails 56, 76
          wire "M88 76 L104 48", width: 3.4
          area "M90 62 L104 34 L118 41 L102 70 Z", :paper
          way "M128 60 Q124 36 108 32"
        end
        frame "Press it flat, and feel again: nothing scratches." do
          rails 56, 76
          area "M90 66 L106 34 L116 39 L101 71 Z", :paper
          finger 104, 52, -10
          way "M72 60 L90 26"
        end
      end
    end
  end
end
