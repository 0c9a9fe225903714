# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Curl = Move.know(:curl, "Pulled over a blade, and it curls", look: "Does each keep its curl?") do
        frame "Cut the piece to {length|its length}, across the weave." do
          area "M20 40 L140 40 L140 78 L20 78 Z"
          8.times { |i| line "M#{30 + i * 15} 40 L#{30 + i * 15} 78", width: 0.8, opacity: 0.5 }
          measure 20, 98, 140, 98, "{length}"
        end
        frame "Hold one end; lay the back of a scissor blade under it, a thumb on top." do
          area "M10 50 Q70 46 150 60 L150 84 Q70 70 10 76 Z"
          area put("M0 0 L-50 6 L-52 -6 Z", 100, 80, 60), :metal
          finger 92, 56, -80
          finger 14, 62, 190
        end
        frame "Pull it along, steadily, to the end." do
          area "M60 56 Q100 52 150 64 L150 86 Q100 74 60 80 Z"
          area put("M0 0 L-46 6 L-48 -6 Z", 70, 84, 60), :metal
          finger 62, 60, -100
          way "M64 26 L134 30"
        end
        frame "It rolls up by itself: {across|as wide as a thumb}." do
          5.times { |i| ellipse 34 + i * 22, 60, 16, 26, (i.even? ? :first : :first_shade) }
          ellipse 130, 60, 9, 16, :first_shade
        end
      end
    end
  end
end
