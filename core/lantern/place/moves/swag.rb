# frozen_string_literal: true

module Lantern
  module Place
    module Moves
      # Common practice.
      Swag = Move.know(:swag, "Stems overlapped, tied, bent to the ring",
        look: "Do the stems hold together when you lift it by one end?") do
        frame "Two picks, their stems overlapped, heads outward." do
          wire "M38 57 L104 60"
          wire "M56 65 L122 62"
          sprig 40, 58, 188
          sprig 120, 62, 8
        end
        frame "The next pair on their stems, shorter." do
          wire "M30 62 L130 62", width: 3
          sprig 40, 60, 186
          sprig 120, 60, -6
          berries 64, 62, 180
          berries 96, 62, 0
        end
        frame "One tie round all stems, pulled tight." do
          wire "M30 62 L130 62", width: 3
          sprig 36, 60, 186
          sprig 124, 60, -6
          berries 62, 62, 180
          berries 98, 62, 0
          line "M80 48 L80 76", :ink, width: 5
          way "M82 86 L82 112"
        end
        frame "Bend it to the curve; wire in the middle, one more on each side." do
          band 70, 26
          sprig 40, 64, 178
          sprig 120, 64, 2
          berries 64, 62, 180
          berries 96, 62, 0
          [44, 80, 116].each { |x| wire "M#{x} 44 L#{x} 90", width: 3 }
        end
      end
    end
  end
end
