# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      OverUnder = Move.know(:over_under, "Over one rail, under the next",
        look: "Does each pass go the other way from the last?") do
        frame "Tie the end to the first rail, its knot behind." do
          [30, 80, 130].each { circle _1, 62, 7, :wire }
          cord "M30 74 Q18 62 30 50 Q42 56 38 70 L34 108", 8
        end
        frame "Over the first rail, under the second." do
          cord "M10 66 Q20 46 30 46 Q44 46 54 62 Q66 80 80 80", 9
          [30, 80, 130].each { circle _1, 62, 7, :wire }
          way "M88 96 Q108 96 118 82"
        end
        frame "Over the third, and round it, pulled snug." do
          cord "M10 66 Q20 46 30 46 Q44 46 54 62 Q66 80 80 80 Q94 80 104 62 Q114 44 130 46 Q146 50 144 66", 9
          [30, 80, 130].each { circle _1, 62, 7, :wire }
          way "M152 72 Q150 96 128 96"
        end
        frame "Back the other way: under where the last went over." do
          cord "M16 76 Q24 80 30 80 Q44 80 54 62 Q66 46 80 46 Q94 46 104 62 Q114 80 130 80 Q146 76 144 60", 9
          [30, 80, 130].each { circle _1, 62, 7, :wire }
          way "M124 98 L44 98"
        end
        frame "Push the rows together, so that each closes the last." do
          [36, 62, 88].each { |y| wire "M4 #{y} L156 #{y}", width: 3.4 }
          8.times { |i| cord(put("M0 0 L0 42", 28 + i * 11, i.even? ? 28 : 54), 9) }
          finger 118, 62, 10
        end
      end
    end
  end
end
