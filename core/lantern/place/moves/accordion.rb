# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Accordion = Move.know(:accordion, "Folded to a fan, tied, opened",
        look: "Are all folds of one size, and do both halves meet?") do
        frame "Fold to and fro, {fold|as deep} each time, sharp at every fold." do
          8.times do |i|
            near, far = i.even? ? [0, 10] : [10, 0]
            area put("M0 #{near} L17 #{far} L17 #{60 - far} L0 #{60 - near} Z", 12 + i * 17, 30),
              i.even? ? :first : :first_shade
          end
        end
        frame "Press all folds together." do
          7.times { |i| area put("M0 0 L6 0 L6 72 L0 72 Z", 58 + i * 6, 24), i.even? ? :first : :first_shade }
          fingers 79, 60, 0, apart: 20
        end
        frame "Tie it tight in the middle." do
          7.times do |i|
            left, waist = 52 + i * 8, 73 + i * 2
            area "M#{left} 20 L#{left + 8} 20 L#{waist + 2} 60 L#{left + 8} 100 L#{left} 100 L#{waist} 60 Z",
              i.even? ? :first : :first_shade
          end
          stem "M64 60 L96 60 M80 60 Q74 74 84 82"
        end
        frame "Open both halves to the round; glue where they meet." do
          16.times { |i| area put("M8 0 L46 -9 L46 9 Z", 80, 60, i * 22.5), i.even? ? :first : :first_shade }
          circle 80, 60, 9, :stem
          glue 80, 12
        end
      end
    end
  end
end
