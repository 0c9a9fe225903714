# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Cut = Move.know(:cut, "One measured, the rest laid on it",
        tools: ["tape measure", "scissors"],
        look: "Lay two side by side: are they alike?") do
        frame "Lay the tape beside it, its end at the very end: {piece|the length on the cut sheet}." do
          strip "M12 48 L148 48", 18
          strip "M12 76 L148 76", 14, :paper
          (0..17).each { |i| line "M#{12 + i * 8} 69 L#{12 + i * 8} #{i.even? ? 77 : 74}", width: 1 }
          measure 12, 98, 116, 98, "{piece}"
        end
        frame "Mark it across, or hold the place." do
          strip "M12 56 L148 56", 20
          line "M116 44 L116 68", dash: "4 3"
          finger 116, 70, 80
        end
        frame "Cut straight across on the mark." do
          strip "M12 56 L96 56", 20
          strip "M104 56 L150 56", 20
          scissors 98, 60, 126
        end
        frame "Lay the next on the first, end on end, and cut it as long." do
          strip "M12 62 L148 62", 18
          strip "M12 84 L98 84", 18
          line "M98 48 L98 98", dash: "4 3"
          scissors 98, 66, 122
        end
      end
    end
  end
end
