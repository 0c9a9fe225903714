# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Rosette = Move.know(:rosette, "Gathered round its own middle",
        look: "Is it round, and its end out of sight?",
        cautions: %i[hot_glue]) do
        frame "Pull the wire, or a thread, at one long edge: the strip gathers." do
          area "M10 40 Q24 30 36 40 Q48 30 60 40 Q72 30 84 40 Q96 30 108 40 L108 84 L10 84 Z"
          7.times { |i| line "M#{16 + i * 14} 84 L#{20 + i * 14} 46", width: 1, opacity: 0.6 }
          wire "M108 82 L150 82"
          fingers 146, 82, 90
        end
        frame "Roll its beginning to a bud." do
          area "M64 100 L58 36 Q80 20 102 36 L96 100 Z"
          ellipse 80, 36, 22, 9, :first_shade
          ellipse 80, 36, 12, 5
          fingers 80, 94, 0, apart: 12
        end
        frame "Wind it round the bud; glue turn on turn at the foot." do
          circle 80, 58, 40
          circle 80, 58, 29, :first_shade
          circle 80, 58, 19
          circle 80, 58, 8, :first_shade
          glue 80, 104
          way "M126 36 Q138 60 124 84"
        end
        frame "The end folded under, glued behind." do
          9.times { |i| ellipse(*put_place(34, 0, 80, 60, i * 40), 17, 14) }
          circle 80, 60, 27
          circle 80, 60, 17, :first_shade
          circle 80, 60, 8
          finger 116, 94, 45
        end
      end
    end
  end
end
