# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Grid = Move.know(:grid, "Cut to the opening, tied taut",
        tools: ["wire cutter"],
        ties: true,
        look: "Is it taut, and does no end stand out in front?",
        cautions: %i[wire_ends]) do
        frame "Cut the grid to the opening, a finger's breadth more all round." do
          grid top: 8, first: 20, apart: 26
          line oval(80, 60, 58, 44), dash: "5 4"
          pliers 132, 40, 0
        end
        frame "Lay it in from behind." do
          grid_in_ring
          way "M148 96 Q140 80 126 76"
        end
        frame "A tie at twelve, three, six and nine, pulled taut; then one between." do
          grid_in_ring
          8.times { |i| line put("M30 0 L46 0", 80, 60, i * 45), :ink, width: 4 }
        end
        frame "Cut the ends short behind, and turn them in." do
          strip "M-6 40 L166 40", 30, :form
          5.times { |i| wire "M#{20 + i * 30} 46 L#{20 + i * 30} 112" }
          wire "M0 80 L160 80"
          line "M80 30 L80 66", :ink, width: 4
          pliers 84, 68, 30
        end
      end
    end
  end
end
