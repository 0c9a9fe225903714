# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Tack = Move.know(:tack, "A drop, and hold it", look: "Pull at it: does it hold?", cautions: %i[hot_glue]) do
        frame "Lay it where it is to be, without glue, and look." do
          band
          circle 80, 50, 19
          circle 80, 50, 8, :second
          finger 98, 42, -40
        end
        frame "A drop of glue on what carries it: no more than a pea." do
          band
          glue 80, 58
          gun 84, 52, -50
        end
        frame "Set it on the glue, and press." do
          band
          circle 80, 50, 19
          circle 80, 50, 8, :second
          finger 80, 48, -90
          way "M112 16 L112 38"
        end
        frame "Hold until it has set: count to twenty. Then pull at it." do
          band
          circle 80, 50, 19
          circle 80, 50, 8, :second
          fingers 80, 50, 0, apart: 18, long: 26
          clock 138, 22
        end
      end
    end
  end
end
