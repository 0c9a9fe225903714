# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Rows = Move.know(:rows, "Row under row, tacked in several places",
        look: "Are the rows level?",
        cautions: %i[hot_glue]) do
        frame "Measure the first row at the widest place: both ends reach past the edge by a finger." do
          area "M30 112 Q80 -40 130 112 Z", :form
          cord "M22 84 L138 84", 10
          measure 22, 102, 138, 102
        end
        frame "Glue it in several places, level." do
          area "M30 112 Q80 -40 130 112 Z", :form
          cord "M22 84 L138 84", 10
          [50, 80, 110].each { |x| glue x, 98 }
          finger 80, 78, -90
        end
        frame "The next row touches it, cut where the form ends there." do
          area "M30 112 Q80 -40 130 112 Z", :form
          cord "M22 84 L138 84", 10
          cord "M28 72 L146 72", 10
          scissors 134, 70, 105
        end
        frame "So on, up and down. Ends tucked behind, or pressed flat." do
          area "M30 112 Q80 -40 130 112 Z", :form
          [22, 24, 30, 36, 43].each_with_index { |x, i| cord "M#{x} #{96 - i * 12} L#{160 - x} #{96 - i * 12}", 10 }
          way "M148 84 Q156 70 140 60"
        end
      end
    end
  end
end
