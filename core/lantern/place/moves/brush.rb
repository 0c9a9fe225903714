# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Brush = Move.know(:brush, "Thin and even", tools: ["brush"], look: "Is it dry to the touch?") do
        frame "Dip the tip alone, and wipe it on the rim." do
          area "M30 60 L34 108 L94 108 L98 60 Z", :paper
          ellipse 64, 60, 34, 9
          brush 74, 62, -60
        end
        frame "The inside edge first." do
          band
          strip "M10 92 Q50 82 84 80", 8
          brush 88, 78, -55
          way "M104 92 L140 94"
        end
        frame "Then the front, thin, in one direction." do
          band
          strip "M-6 74 Q40 64 84 60", 32
          brush 90, 56, -55
          way "M108 66 Q128 66 148 70"
        end
        frame "Let it dry, as the label says. A second coat only where the form shows." do
          band 66, 36, :first
          clock 122, 28
        end
      end
    end
  end
end
