# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Bundle = Move.know(:bundle, "Laid crosswise, squeezed, tied",
        look: "Do its ends stand out to all sides, and does nothing slip out?") do
        frame "The first flat on the table." do
          strip "M14 66 L146 66", 20
          ellipse 146, 66, 6, 10, :first_shade
        end
        frame "The next across its middle, and so on, each over the middle of the last." do
          strip "M14 66 L146 66", 18
          strip "M36 22 L124 104", 18, :second
          strip "M124 22 L36 104", 18, :third
        end
        frame "Squeeze the middle together." do
          spokes 80, 62
          fingers 80, 62, 20, apart: 5, long: 26
        end
        frame "{tie|Half a stem} round it, pulled tight, its ends behind." do
          spokes 80, 58
          stem "M72 52 Q80 48 88 54 Q90 62 84 66 Q76 70 70 64 M84 66 Q92 82 86 108 M76 68 Q80 84 92 96"
          way "M106 100 Q114 88 102 82"
        end
      end
    end
  end
end
