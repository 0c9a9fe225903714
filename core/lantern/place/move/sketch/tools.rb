# frozen_string_literal: true

module Lantern
  module Place
    class Move
      class Sketch
        # Hands, their way, measures, glue and tools.
        module Tools
          private

          # One finger, its tip at a place, coming from a direction.
          def finger(x, y, degrees = 90, long: 34)
            away = put("M3 0 L#{long} 0", x, y, degrees)
            line(away, :ink, width: 14)
            line(away, :hand, width: 11.4)
            line(put("M5 -3.4 Q1 0 5 3.4", x, y, degrees), :ink, width: 0.9, opacity: 0.6)
          end

          # Two fingers that pinch at a place, from both sides of it.
          def fingers(x, y, degrees = 90, apart: 3, long: 30)
            finger(*put_place(apart, 0, x, y, degrees), degrees, long:)
            finger(*put_place(-apart, 0, x, y, degrees), degrees + 180, long:)
          end

          # The way of the hand, with a head at its end; a halo parts it from what has its colour.
          def way(path, width: 3.4)
            *, (from_x, from_y), (x, y) = path.scan(/(-?[\d.]+) (-?[\d.]+)/).map { |pair| pair.map(&:to_f) }
            degrees = Math.atan2(y - from_y, x - from_x) * 180 / Math::PI
            whole = "#{path} #{put("M-8 -5.5 L0 0 L-8 5.5", x, y, degrees)}"
            line(whole, :paper, width: width + 3, opacity: 0.9)
            line(whole, :way, width:)
          end

          # A dimension line with slashed ends and what it says; upright where it goes up or down.
          def measure(x, y, to_x, to_y, says = nil)
            line("M#{x} #{y} L#{to_x} #{to_y}", :ink, width: 1.1)
            [[x, y], [to_x, to_y]].each { |end_x, end_y| line(put("M-3 3 L3 -3", end_x, end_y), :ink, width: 1.3) }
            return unless says
            upright = x == to_x
            label(upright ? x + 5 : (x + to_x) / 2.0, upright ? (y + to_y) / 2.0 + 4 : y + 13, says,
              upright ? :start : :middle)
          end

          def label(x, y, says, anchor = :middle) = @labels << Label.new(x:, y:, says:, anchor:)

          def glue(x, y, size = 4.5)
            area("M#{x} #{y - size * 1.5} Q#{x + size * 1.3} #{y + size * 0.2} #{x} #{y + size} Q#{x - size * 1.3} " \
              "#{y + size * 0.2} #{x} #{y - size * 1.5} Z", :glue, edge: 1)
          end

          # A line of glue along a path.
          def bead(path) = strip(path, 3.2, :glue, ends: :round)

          # The nozzle of a glue gun, its point at a place, coming from a direction.
          def gun(x, y, degrees = -50)
            area(put("M0 0 L14 -5 L18 -10 L48 -10 L48 10 L18 10 L14 5 Z", x, y, degrees), :metal)
          end

          # A cable tie round the band, its eye behind.
          def eye_of_tie
            line("M62 34 L62 78", :ink, width: 4)
            area("M54 76 L70 76 L70 92 L54 92 Z", :metal)
          end

          # Scissors, their points towards a direction, at a place.
          def scissors(x, y, degrees = 0)
            [1, -1].each do |side|
              area(put("M0 #{-2 * side} L-30 #{4 * side} L-34 #{8 * side} L-2 #{3 * side} Z", x, y, degrees), :metal,
                edge: 1)
              line(oval(*put_place(-42, 10 * side, x, y, degrees), 8, 6, degrees), :ink, width: 2.6)
            end
            circle(*put_place(-26, 0, x, y, degrees), 1.6, :ink, edge: 0)
          end

          # A brush, its hairs at a place, its handle in a direction.
          def brush(x, y, degrees = -50, paint = :first)
            area(put("M0 0 C2 -7 8 -8 14 -6 L14 6 C8 8 2 7 0 0 Z", x, y, degrees), paint)
            area(put("M14 -6 L22 -5 L22 5 L14 6 Z", x, y, degrees), :metal)
            area(put("M22 -4 L60 -3 L60 3 L22 4 Z", x, y, degrees), :paper)
          end

          # Pliers, their jaws at a place.
          def pliers(x, y, degrees = -40)
            [1, -1].each do |side|
              jaw = "M0 0 L14 #{5 * side} Q20 #{4 * side} 26 #{2 * side} L52 #{12 * side} L52 #{6 * side} L24 0 Z"
              area(put(jaw, x, y, degrees), :metal, edge: 1)
            end
            circle(*put_place(21, 0, x, y, degrees), 2.4, :ink, edge: 0)
          end

          # It takes a while.
          def clock(x, y)
            circle x, y, 13, :paper
            line put("M0 -8 L0 0 L6 3", x, y), width: 1.6
          end
        end
      end
    end
  end
end
