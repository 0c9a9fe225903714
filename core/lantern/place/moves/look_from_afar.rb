# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      LookFromAfar = Move.know(:look, "From across the room",
        look: "Would you hang it on your own door?",
        cautions: %i[hanging]) do
        frame "Hang it up, and go to the other end of the room." do
          area "M10 10 L54 10 L54 108 L10 108 Z", :paper
          circle 32, 44, 14
          circle 32, 44, 7, :paper
          way "M66 92 L142 92"
        end
        frame "Half close your eyes: where does the form show, what stands askew?" do
          circle 80, 60, 46
          circle 80, 60, 24, :paper
          area "M108 32 L116 40 L108 48 L100 40 Z", :form
        end
        frame "Close the gaps, trim the fuzz, open the loops." do
          bow 84, 44, 50
          finger 40, 36, 200
          way "M46 20 Q30 16 24 30"
        end
        frame "Once more from the door. Done." do
          area "M94 6 L150 6 L150 112 L94 112 Z", :paper
          circle 122, 44, 20
          circle 122, 44, 10, :paper
          bow 122, 60, 14
          circle 36, 44, 10, :hand
          strip "M36 60 L36 96", 18, :second, ends: :round
        end
      end
    end
  end
end
