# frozen_string_literal: true

module Lantern
  module Place
    class Move
      class Sketch
        # Strips, cords, stems, and what becomes of them.
        module Materials
          private

          # A strip along a path, so wide, with an edge on both sides.
          def strip(path, wide = 18, paint = :first, ends: :butt)
            line(path, :ink, width: wide + 2 * EDGE, cap: ends)
            line(path, paint, width: wide, cap: ends)
          end

          # A rope or cord, its strands slanting.
          def cord(path, thick = 10, paint = :first)
            strip(path, thick, paint, ends: :round)
            line(path, :ink, width: thick * 0.8, opacity: 0.25, dash: "1.4 4", cap: :butt)
          end

          # A chenille stem, and plain wire.
          def stem(path) = line(path, :stem, width: 4.5)

          def wire(path, width: 2) = line(path, :wire, width:)

          # A flat strip that lies straight from a place, `long` in a direction, its far end cut to a V if it is.
          def tail(x, y, long, half = 9, degrees = 0, paint = :first, vee: false)
            far = vee ? "L#{long} #{-half} L#{long - half} 0 L#{long} #{half}" : "L#{long} #{-half} L#{long} #{half}"
            area(put("M0 #{-half} #{far} L0 #{half} Z", x, y, degrees), paint)
          end

          # A loop that is seen from the side, from where it is pinched: its good side out, its back within.
          def loop_from(x, y, long, half = 16, degrees = 0, paint = :first)
            area(put("M0 0 C#{long * 0.2} #{-half * 1.5} #{long * 0.8} #{-half * 1.4} #{long} #{-half * 0.2} " \
              "C#{long * 1.06} #{half * 0.9} #{long * 0.4} #{half * 1.4} 0 0 Z", x, y, degrees), paint)
            area(put("M#{long * 0.14} #{-half * 0.02} C#{long * 0.35} #{-half * 0.7} #{long * 0.75} #{-half * 0.75} " \
              "#{long * 0.84} #{-half * 0.1} C#{long * 0.86} #{half * 0.45} #{long * 0.4} #{half * 0.6} " \
              "#{long * 0.14} #{-half * 0.02} Z", x, y, degrees), shade(paint), edge: 1)
          end

          # Both loops and tails of a tied bow about a place.
          def bow(x, y, size = 42, paint = :first, tails: true)
            if tails
              tail(x, y, size, 7, 118, paint, vee: true)
              tail(x, y, size, 7, 62, paint, vee: true)
            end
            loop_from(x, y, size, size * 0.42, 190, paint)
            loop_from(x, y, size, size * 0.42, -10, paint)
          end

          def knot(x, y, size = 7, paint = :first)
            wide, high = size * 1.2, size * 0.8
            area(put("M#{-size} #{-high} Q0 #{-size * 1.3} #{size} #{-high} Q#{wide} 0 #{size} #{high} " \
              "Q0 #{size * 1.3} #{-size} #{high} Q#{-wide} 0 #{-size} #{-high} Z", x, y), paint)
            line("M#{x - size * 0.6} #{y - size * 0.5} Q#{x} #{y} #{x - size * 0.5} #{y + size * 0.6}", :ink, width: 1,
              opacity: 0.6)
          end
        end
      end
    end
  end
end
