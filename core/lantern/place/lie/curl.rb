# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A curl: an item is one half of it, from the pinch to its end, `width` wide. Turns aslant, each over the next;
      # its end is seen into.
      class Curl < Lie
        # Turns of a half, and by how much of its length each leans.
        TURNS, LEAN = 5, 0.09

        # One turn, from a share of the length to another, narrow at the pinch.
        def self.turn(number)
          from, to = [number, number + 1].map { _1 / TURNS.to_f * 0.91 }
          wide = [0.6 + number * 0.15, 1].min
          places = [[from, -wide], [from + LEAN, -wide], [from + LEAN, wide * 0.9], [from + LEAN, wide],
            [to + LEAN, wide], [to, -wide], [from, -wide]]
          start, one, two, far, near, *back = places.map { _1.map { |number| format("%.3f", number) }.join(" ") }
          "M#{start} C#{one} #{two} #{far} L#{near} C#{near} #{back.join(" ")} Z"
        end

        lie :curl
        looks(order: :any, slender: 0.4) do
          area "M1 -1 C1+.3w -1 1+.3w 1 1 1 C1-.3w 1 1-.3w -1 1 -1 Z", frame: :ends, edge: 0.08
          TURNS.times { |i| area Curl.turn(i), frame: :ends, edge: 0.08 }
          TURNS.times { |i|
            at = (i + 0.55) / TURNS * 0.91
            line format("M%.3f -.5 L%.3f .6", at, at + LEAN), frame: :ends, width: 0.16, opacity: 0.3, near: true
          }
        end

        # All along as wide as it is (common practice).
        def patches(points) = [Stroke.new(from: points[0], to: points[1], half: width / 2)]
      end
    end
  end
end
