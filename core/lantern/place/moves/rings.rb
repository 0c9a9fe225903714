# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Rings = Move.know(:rings, "Rings on one another, tied round the middle",
        look: "Do the rings lie one on another, their middles in one line?",
        cautions: %i[hot_glue]) do
        frame "Lap the ends of each ring and glue them; in a loose weave by a spatula." do
          ellipse 80, 54, 56, 30
          ellipse 80, 54, 44, 20, :paper
          area put("M0 -3 L46 -6 L46 6 L0 3 Z", 88, 82, 30), :metal
          glue 80, 80
        end
        frame "The tails: one strip folded in the middle." do
          tail 80, 40, 64, 11, 112, vee: true
          tail 80, 40, 64, 11, 68, vee: true
          fingers 80, 38, 0
        end
        frame "The larger ring on them, the smaller on it, middle on middle." do
          tail 80, 60, 54, 10, 115, vee: true
          tail 80, 60, 54, 10, 65, vee: true
          loop_from 80, 54, 66, 26, 184
          loop_from 80, 54, 66, 26, -4
          loop_from 80, 54, 44, 18, 184, :second
          loop_from 80, 54, 44, 18, -4, :second
          way "M80 8 L80 34"
        end
        frame "The cord round the middle of all, pulled tight; its ends stay long enough to tie it on." do
          tail 80, 60, 50, 10, 115, vee: true
          tail 80, 60, 50, 10, 65, vee: true
          loop_from 80, 52, 66, 26, 184
          loop_from 80, 52, 66, 26, -4
          loop_from 80, 52, 44, 18, 184, :second
          loop_from 80, 52, 44, 18, -4, :second
          cord "M76 32 Q84 52 76 72 Q64 92 70 112 M84 32 Q78 52 84 72 Q98 92 92 112", 4, :third
        end
      end
    end
  end
end
