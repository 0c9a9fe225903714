# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Stretch = Move.know(:stretch, "From the widest place, down each side",
        tools: ["clips"],
        look: "Is it drum-tight, its pattern straight, and no fold on the front?",
        cautions: %i[hot_glue]) do
        frame "Lay the cloth over the form, its pattern straight, {tab|a little} over the edge all round." do
          ellipse 80, 62, 62, 46
          ellipse 80, 62, 50, 34, :form, opacity: 0.35
          5.times { |i| line "M#{40 + i * 20} 24 L#{40 + i * 20} 100", width: 0.8, opacity: 0.5 }
          measure 130, 60, 142, 60, "{tab}"
        end
        frame "Glue it behind at the widest place first, one side, then the other." do
          ellipse 80, 62, 62, 44
          glue 20, 62
          glue 140, 62
          way "M70 62 L32 62"
          way "M90 62 L128 62"
        end
        frame "Pull it tight downward and upward, a small section at a time." do
          ellipse 80, 60, 58, 44
          fingers 80, 106, 0
          way "M80 70 L80 94"
          way "M80 50 L80 26"
          [[22, 60], [138, 60], [80, 14]].each { |x, y| glue x, y }
        end
        frame "At a point, small folds behind, all the same way, creased before they are glued." do
          area "M20 20 L140 20 L80 112 Z"
          area "M66 92 L80 112 L94 92 L86 78 L74 78 Z", :first_shade
          [70, 77, 84, 91].each { |x| line "M#{x} 80 L80 108", width: 1 }
          finger 92, 92, 20
        end
        frame "When the glue is cold, trim behind, a finger's breadth from it." do
          ellipse 80, 60, 58, 44, :form
          ellipse 80, 60, 46, 32, :paper
          area "M30 30 Q20 60 34 92 L44 84 Q34 60 42 38 Z"
          scissors 48, 84, 110
        end
      end
    end
  end
end
