# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Twist = Move.know(:twist, "Bent double, its ends wound round",
        tools: ["pliers", "wire cutter"],
        look: "Are the sharp ends turned in?",
        cautions: %i[wire_ends]) do
        frame "Bend the stem double." do
          stem "M30 40 L120 40 Q136 40 136 52 Q136 64 120 64 L30 64"
          fingers 136, 52, 0
        end
        frame "Lay it over the rail, an end on each side." do
          wire "M0 60 L160 60", width: 5
          stem "M66 20 Q66 96 74 100 M94 20 Q94 96 86 100"
          finger 80, 24, -90
        end
        frame "Twist the ends round one another, two or three times, close to it." do
          wire "M0 44 L160 44", width: 5
          stem "M66 30 Q80 20 94 30 M66 30 Q66 60 88 68 Q70 78 88 88 M94 30 Q94 60 72 68 Q90 78 72 88"
          way "M108 92 Q122 78 106 66"
        end
        frame "Turn the sharp ends in, where nobody touches them." do
          wire "M0 44 L160 44", width: 5
          stem "M66 30 Q80 20 94 30 M66 30 Q66 60 88 68 Q70 76 84 80 M94 30 Q94 60 72 68 Q90 76 76 80 Q66 78 72 70"
          pliers 76, 84, 40
        end
      end
    end
  end
end
