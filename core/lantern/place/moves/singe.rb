# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice; synthetic ribbon alone, and only a hair of it.
      Singe = Move.know(:singe, "A flame beside the cut, never under it",
        tools: ["lighter"],
        look: "Is the edge closed, without a bead?",
        cautions: %i[singe]) do
        frame "Nothing that burns beside it; hold the ribbon taut, its cut edge straight." do
          strip "M10 60 L112 60", 24
          5.times { |i| line "M112 #{50 + i * 5} L#{118 + i % 2 * 4} #{49 + i * 5}", width: 0.9 }
          fingers 92, 60, 90, apart: 12
        end
        frame "The flame beside the edge, a finger's breadth away." do
          strip "M10 52 L100 52", 24
          area "M124 86 L140 86 L140 118 L124 118 Z", :metal
          area "M132 84 Q120 72 132 50 Q144 72 132 84 Z", :way
          measure 102, 100, 124, 100
        end
        frame "Once along the edge, without stopping." do
          strip "M10 52 L100 52", 24
          area "M116 92 L132 92 L132 120 L116 120 Z", :metal
          area "M124 90 Q114 80 124 62 Q134 80 124 90 Z", :way
          way "M116 24 L116 48"
        end
        frame "Let it cool before you touch it: the edge is closed." do
          strip "M10 60 L120 60", 24
          line "M120 48 L120 72", :ink, width: 3
          clock 140, 34
        end
      end
    end
  end
end
