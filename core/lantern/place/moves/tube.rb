# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Tube = Move.know(:tube, "Rolled, and held by its middle",
        look: "Are the tubes of one width, and does none unroll?") do
        frame "Cut the piece to {length|its length}; its cut edges lie left and right." do
          area "M24 28 L136 28 L136 92 L24 92 Z"
          9.times { |i| line put("M0 28 L0 92", 30 + i * 12, 0), width: 0.6, opacity: 0.35 }
          8.times { |i| line put("M24 0 L136 0", 0, 36 + i * 7), width: 0.6, opacity: 0.35 }
          measure 24, 102, 136, 102, "{length}"
        end
        frame "Roll it from the long edge, loosely." do
          area "M24 50 L136 50 L136 98 L24 98 Z"
          strip "M24 46 L136 46", 16
          ellipse 136, 46, 5, 8, :first_shade
          finger 56, 40, -90
          finger 104, 40, -90
          way "M80 26 L80 8"
        end
        frame "To about {across|a coin's width} across." do
          strip "M20 60 L136 60", 26
          ellipse 136, 60, 8, 13, :first_shade
          ellipse 136, 60, 4, 7
          measure 152, 47, 152, 73
        end
        frame "Clip or hold its middle until the others lie on it." do
          area "M16 46 Q60 46 80 54 Q100 46 144 46 Q150 60 144 74 Q100 74 80 66 Q60 74 16 74 Q10 60 16 46 Z"
          ellipse 144, 60, 7, 14, :first_shade
          fingers 80, 60, 90, apart: 6
        end
      end
    end
  end
end
