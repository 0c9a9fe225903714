# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      OneLoop = Move.know(:one_loop, "One loop, its ends crossed",
        look: "Do the ends hang alike?",
        cautions: %i[hot_glue]) do
        frame "Fold the ribbon in its middle." do
          strip "M16 50 L84 50 Q104 50 104 62 Q104 74 84 74 L16 74", 12
          fingers 106, 62, 0
        end
        frame "Cross the ends {tail|a little} from where they end." do
          strip "M46 112 Q112 52 98 28 Q80 4 62 28 Q48 52 114 112", 13
          way "M34 86 Q44 64 66 74"
        end
        frame "A drop of glue where they cross." do
          strip "M46 112 Q112 52 98 28 Q80 4 62 28 Q48 52 114 112", 13
          glue 80, 78
          gun 88, 76, -10
        end
        frame "Press until it has set; cut both ends aslant." do
          strip "M46 112 Q112 52 98 28 Q80 4 62 28 Q48 52 114 112", 13
          finger 80, 78, 20
          scissors 46, 104, 100
        end
      end
    end
  end
end
