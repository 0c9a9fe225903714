# frozen_string_literal: true

module Lantern
  module Place
    class Move
      class Sketch
        # Forms, what lies on them, and what is bought.
        module Forms
          private

          # A stretch of the form, lying across the picture, its outside edge up.
          def band(y = 66, wide = 36, paint = :form) = strip("M-6 #{y + 8} Q80 #{y - 8} 166 #{y + 8}", wide, paint)

          # How far up the band's middle is at a place.
          def band_at(x, y = 66) = (y + 8 - 16 * (1 - ((x - 80) / 86.0)**2) / 2).round(1)

          # Rails of wire.
          def rails(*levels) = levels.each { |y| wire("M-6 #{y + 5} Q80 #{y - 5} 166 #{y + 5}", width: 3.4) }

          # Coils that lie on the band, from a place on.
          def coils(from, count, y = 66, pitch: 11, paint: :first)
            count.times { |i| coil(from + i * pitch, y, paint) }
          end

          def coil(x, y = 66, paint = :first, lean: 4)
            at = band_at(x, y)
            cord("M#{x - lean / 2.0} #{(at + 20).round(1)} L#{x + lean / 2.0} #{(at - 20).round(1)}", 9, paint)
          end

          # Turns of a strip that lie on the band, each over the one before.
          def turns(from, count, y = 66, pitch: 20, paint: :first)
            count.times { |i| turn(from + i * pitch, y, paint) }
          end

          def turn(x, y = 66, paint = :first, wide: 26, lean: 14)
            low, high = band_at(x, y) + 19, band_at(x + lean, y) - 19
            area("M#{x} #{low.round(1)} L#{x + lean} #{high.round(1)} L#{x + lean + wide} #{high.round(1)} " \
              "L#{x + wide} #{low.round(1)} Z", paint)
          end

          # A turn of a strip that was bunched in the hand.
          def gathered_turn(x)
            turn x, 66, :first, wide: 34
            3.times do |i|
              line put("M7 17 L18 -17", x + i * 8, band_at(x)), width: 1, opacity: 0.6
            end
          end

          # Mesh of wire, so far from the top, its first level wire at a height.
          def grid(top: 6, first: 20, apart: 26)
            5.times { |i| wire "M#{20 + i * 30} #{top} L#{20 + i * 30} 112" }
            4.times { |i| wire "M6 #{first + i * apart} L154 #{first + i * apart}" }
          end

          # The same in the opening of a ring.
          def grid_in_ring
            circle 80, 60, 52, :form
            circle 80, 60, 36, :paper
            [[50, 30], [70, 20], [90, 20], [110, 30]].each { |x, y| wire "M#{x} #{y} L#{x} #{120 - y}" }
            3.times { |i| wire "M38 #{40 + i * 20} L122 #{40 + i * 20}" }
          end

          # Three leaves on a stem that comes from a direction.
          def sprig(x, y, degrees)
            [-34, 0, 34].each { |lean| area put("M0 0 C8 -10 24 -10 34 0 C24 10 8 10 0 0 Z", x, y, degrees + lean) }
          end

          def berries(x, y, degrees)
            [-50, 0, 50].each { |lean| circle(*put_place(14, 0, x, y, degrees + lean), 8, :second) }
          end

          def flower(x, y, petal = 13)
            6.times { |i| ellipse(*put_place(petal, 0, x, y, i * 60), petal * 0.9, petal * 0.6, turned: i * 60) }
            circle x, y, petal * 0.5, :second
          end

          # The ends of a bundle, all round its middle.
          def spokes(x, y)
            8.times { |i| area put("M4 -3 L54 -12 L58 0 L54 12 L4 3 Z", x, y, i * 45), %i[first second third][i % 3] }
          end
        end
      end
    end
  end
end
