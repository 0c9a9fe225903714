# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # As its maker wrote it: the hands of a step that nobody else knows.
      Own = Move.know(:own, "As you wrote it", look: "Is it as you meant it?") do
        frame "Read what you wrote." do
          area "M34 14 L126 14 L126 108 L34 108 Z", :paper
          [30, 44, 58, 72, 86].each { |y| line "M46 #{y} L#{(y == 86) ? 90 : 114} #{y}", width: 1.4, opacity: 0.6 }
        end
        frame "Lay ready what it takes." do
          cord "M16 40 Q40 24 64 40 Q88 56 112 40", 9
          strip "M30 78 L116 78", 20, :second
          scissors 146, 98, 20
        end
        frame "Do it." do
          band
          finger 62, 60, 200
          finger 98, 60, -20
          way "M60 24 Q80 8 104 22"
        end
        frame "Hold it beside what you wrote: is it as you meant it?" do
          area "M84 20 L146 20 L146 100 L84 100 Z", :paper
          [34, 48, 62, 76].each { |y| line "M94 #{y} L136 #{y}", width: 1.4, opacity: 0.6 }
          circle 42, 60, 32, :form
          circle 42, 60, 17, :paper
        end
      end
    end
  end
end
