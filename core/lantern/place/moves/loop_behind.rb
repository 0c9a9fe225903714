# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      LoopBehind = Move.know(:loop_behind, "A loop, both ends glued flat",
        look: "Has it set before it carries anything?",
        cautions: %i[hot_glue]) do
        frame "Fold {hang|the piece} to a loop." do
          strip "M68 112 L68 40 Q68 20 80 20 Q92 20 92 40 L92 112", 11
          fingers 80, 22, 90, apart: 8, long: 22
        end
        frame "Both ends flat on the back of the covering, glue under both." do
          band 84, 40
          strip "M70 98 L70 34 Q70 14 80 14 Q90 14 90 34 L90 98", 10
          glue 64, 86
          glue 98, 86
        end
        frame "A patch of cloth across them, glued all round." do
          band 84, 40
          strip "M70 98 L70 34 Q70 14 80 14 Q90 14 90 34 L90 98", 10
          area "M52 72 L108 72 L108 102 L52 102 Z", :second
          finger 80, 88, 70
        end
        frame "Let it set before anything hangs from it; then pull at it." do
          band 84, 40
          strip "M70 98 L70 34 Q70 14 80 14 Q90 14 90 34 L90 98", 10
          area "M52 72 L108 72 L108 102 L52 102 Z", :second
          way "M112 60 L112 22"
          clock 138, 26
        end
      end
    end
  end
end
