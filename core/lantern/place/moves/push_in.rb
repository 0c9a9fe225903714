# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      PushIn = Move.know(:push_in, "Pushed in until it sits", look: "Pull at it: does it hold?") do
        frame "Hold it where it is to be, and look." do
          band 76, 40
          wire "M80 54 L80 30", width: 3
          flower 80, 24
        end
        frame "A hole first, with a skewer, where the covering is close." do
          band 76, 40
          area put("M0 0 L10 -2 L62 -2 L62 2 L10 2 Z", 80, 72, -80), :metal
          way "M112 20 L112 48"
        end
        frame "Push its stem in, straight, until it sits." do
          band 84, 40
          wire "M80 84 L80 50", width: 3
          flower 80, 46
          way "M124 20 L124 56"
        end
        frame "Pull at it: it holds. If not, a drop of glue in the hole." do
          band 84, 40
          flower 80, 52
          fingers 80, 36, 0, apart: 14, long: 24
          way "M120 70 L120 34"
        end
      end
    end
  end
end
