# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Paste = Move.know(:paste, "Paste under it and over it",
        tools: ["brush"],
        look: "Are all edges down, and is no wrinkle left?") do
        frame "Pull the paper into single plies, and tear it into strips a finger wide." do
          area "M20 20 L140 24 L138 60 L22 58 Z", :paper
          area "M24 64 Q60 58 80 66 Q110 58 140 66 L138 102 Q100 96 80 104 Q50 98 22 104 Z"
          fingers 136, 84, 90
        end
        frame "Brush paste on a stretch of the form." do
          band
          strip "M40 68 Q70 60 100 62", 28, :glue
          brush 106, 56, -55, :glue
        end
        frame "Lay a strip on it, with dry hands." do
          band
          strip "M20 70 Q70 58 120 62", 30, :glue
          area "M40 46 L64 40 L70 88 L46 92 Z"
          fingers 66, 42, -60
        end
        frame "Brush over it, from the middle out; the next one laps by half." do
          band
          area "M36 48 L60 42 L66 88 L42 92 Z"
          area "M48 46 L74 42 L80 86 L54 90 Z"
          brush 76, 62, -50, :glue
          way "M96 80 L128 84"
        end
      end
    end
  end
end
