# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Smooth = Move.know(:smooth, "Along the edges, away from the hand",
        tools: ["sandpaper"],
        look: "Run a thumb along it: does anything catch?") do
        frame "Look along both edges: crumbs, splinters, twigs." do
          band
          [[34, 46], [62, 43], [96, 42], [124, 46]].each { |x, y| area put("M-4 3 L0 -5 L4 3 Z", x, y), :form }
          way "M20 26 Q80 12 136 26"
        end
        frame "Break off or trim what stands out." do
          band
          area "M92 45 L96 32 L100 45 Z", :form
          fingers 96, 34, 0
        end
        frame "Sand along the edge, away from the hand that holds." do
          band
          finger 22, 60, 200
          area put("M-20 -7 L20 -7 L20 7 L-20 7 Z", 84, 42, 0), :paper
          finger 84, 36, -70
          way "M108 38 L142 42"
        end
        frame "Run a thumb along it: it catches nowhere." do
          band
          finger 70, 44, -70
          way "M84 34 Q108 30 132 38"
        end
      end
    end
  end
end
