# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Coil = Move.know(:coil, "Round the band, coil beside coil",
        cautions: %i[hot_glue],
        look: "Do the coils touch inside, and stand straight out?") do
        frame "The end behind the band, held by a tack of glue." do
          cord "M52 108 L58 56", 9
          band
          line "M56 82 L58 50", dash: "3 3", opacity: 0.5
          glue 57, 66
          finger 50, 92, 110
        end
        frame "Up over the front, straight across the band: {turn|one turn} takes you round." do
          band
          coil 58
          cord "M60 46 Q66 28 84 14", 9
          way "M40 96 Q30 66 46 36"
        end
        frame "Down behind, and up again close beside it." do
          band
          coils 58, 2
          cord "M71 46 Q84 20 100 34 Q106 44 104 50", 9
          way "M112 58 Q112 86 92 100"
        end
        frame "Push the coils together: they touch on the inside edge." do
          band
          coils 36, 6
          finger 104, 66, 0
          way "M140 92 L110 92"
        end
        frame "A tack of glue behind every few; the last end under its neighbours." do
          band
          coils 30, 9
          gun 124, 82, 40
          glue 120, 80
        end
      end
    end
  end
end
