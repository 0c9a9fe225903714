# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Press = Move.know(:press, "From the middle out",
        look: "Does anything still scratch?",
        cautions: %i[hot_glue]) do
        frame "Lay the template on the cloth, and cut a little inside the line." do
          area "M14 14 L146 14 L146 108 L14 108 Z"
          circle 80, 61, 42, :paper
          circle 80, 61, 20, :first
          line oval(80, 61, 38, 38), dash: "4 3"
          scissors 118, 60, 100
        end
        frame "Try it on the back: {margin|a little} smaller all round, the hanger free." do
          circle 80, 66, 48, :form
          circle 80, 66, 43
          circle 80, 66, 20, :form
          circle 80, 66, 16, :paper
          cord "M74 26 Q72 4 80 4 Q88 4 86 26", 4, :second
        end
        frame "A thin line of glue along both edges." do
          circle 80, 66, 48, :form
          line oval(80, 66, 41, 41), :glue, width: 4
          line oval(80, 66, 22, 22), :glue, width: 4
          circle 80, 66, 16, :paper
          gun 112, 40, -40
        end
        frame "Lay it on, and press from the middle out." do
          circle 80, 66, 48, :form
          circle 80, 66, 43
          circle 80, 66, 18, :form
          circle 80, 66, 16, :paper
          way "M64 66 L44 66"
          way "M96 66 L116 66"
          finger 80, 94, 80
        end
      end
    end
  end
end
